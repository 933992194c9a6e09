package syntoma.app.platform;

/** What was asked for does not exist; the message names it. */
public class NotFound extends RuntimeException {
    public NotFound(String message) {
        super(message);
    }
}

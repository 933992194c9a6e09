package syntoma.app.platform;

/** What was asked for does not exist; the message names it. */
public class NotFoundException extends RuntimeException {
    public NotFoundException(String message) {
        super(message);
    }
}

package syntoma.app.platform;

/** What was asked for cannot be done as things stand; the message says what stands in the way and what can be done. */
public class Conflict extends RuntimeException {
    public Conflict(String message) {
        super(message);
    }
}

package syntoma.app.platform;

/** A body above the limit; the message names the limit. */
public class TooLarge extends RuntimeException {
    public TooLarge(String message) {
        super(message);
    }
}

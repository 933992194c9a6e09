package syntoma.app.store;

/** Nothing was begun, because Syntoma is busy or stopping; the message says which. */
public final class Busy extends RuntimeException {
    Busy(String message) {
        super(message);
    }
}

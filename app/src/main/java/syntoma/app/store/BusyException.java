package syntoma.app.store;

/** Nothing was begun, because Syntoma is busy or stopping; the message says which. */
public final class BusyException extends RuntimeException {
    BusyException(String message) {
        super(message);
    }
}

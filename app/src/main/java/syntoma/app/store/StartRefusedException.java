package syntoma.app.store;

/** Why Syntoma cannot start, in one line that says what to do. */
public final class StartRefusedException extends RuntimeException {
    public StartRefusedException(String message) {
        super(message);
    }
}

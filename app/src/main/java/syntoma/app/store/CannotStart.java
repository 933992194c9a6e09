package syntoma.app.store;

/** Why Syntoma cannot start, in one line that says what to do. */
public final class CannotStart extends RuntimeException {
    public CannotStart(String message) {
        super(message);
    }
}

package syntoma.app.instrument;

/** A router could not be asked, or its answer not read; the message says why, for a person. */
final class RouterException extends Exception {
    private final boolean hasGivenUp;

    RouterException(String why) {
        this(why, false);
    }

    private RouterException(String why, boolean gaveUp) {
        super(why);
        this.hasGivenUp = gaveUp;
    }

    /** It was not waited for any longer. */
    static RouterException late(String address) {
        return new RouterException(
                address + " did not answer within " + HttpRouter.ANSWERS_WITHIN.toSeconds() + " s", true);
    }

    /** Whether a connection was given up, which takes a moment to close at both ends. */
    boolean hasGivenUp() {
        return hasGivenUp;
    }
}

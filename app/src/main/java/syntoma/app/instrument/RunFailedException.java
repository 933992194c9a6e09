package syntoma.app.instrument;

/** A run cannot go on; the message says why, for a person. */
final class RunFailedException extends Exception {
    RunFailedException(String why) {
        super(why);
    }
}

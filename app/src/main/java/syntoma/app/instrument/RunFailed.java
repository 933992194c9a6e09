package syntoma.app.instrument;

/** A run cannot go on; the message says why, for a person. */
final class RunFailed extends Exception {
    RunFailed(String why) {
        super(why);
    }
}

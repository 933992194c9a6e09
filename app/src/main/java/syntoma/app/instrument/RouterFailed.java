package syntoma.app.instrument;

/** A router could not be asked, or its answer not read; the message says why, for a person. */
final class RouterFailed extends Exception {
    RouterFailed(String why) {
        super(why);
    }
}

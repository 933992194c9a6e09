package syntoma.app.gate;

import java.io.IOException;

/** The disk does not take a body or an answer that is on its way. */
final class SpoolException extends IOException {
    SpoolException(IOException cause) {
        super(cause);
    }

    /** Whether something failed because of it. */
    static boolean isIn(Throwable failure) {
        for (Throwable t = failure; t != null && t != t.getCause(); t = t.getCause()) {
            if (t instanceof SpoolException) {
                return true;
            }
        }
        return false;
    }
}

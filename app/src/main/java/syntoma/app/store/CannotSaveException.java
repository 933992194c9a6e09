package syntoma.app.store;

import java.nio.file.Path;

/** Nothing can be saved now, and nothing of what was asked was; the message says why and what to do. */
public final class CannotSaveException extends RuntimeException {
    private CannotSaveException(String message) {
        super(message);
    }

    static CannotSaveException directoryGone(Path dir) {
        return new CannotSaveException("the data directory " + dir
                + " was deleted or moved while Syntoma runs, so nothing of this was saved. Put it back where it was; or export"
                + " everything now under Logbook, In and out, which still works until Syntoma stops");
    }

    static CannotSaveException full(Path dir, long freeBytes) {
        return new CannotSaveException(
                "the disk with the data directory " + dir + " is full (" + freeBytes / 1_000_000
                        + " MB left), so nothing of this was saved. Free some space and try again; what is saved already is safe");
    }
}

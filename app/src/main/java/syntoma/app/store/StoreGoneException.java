package syntoma.app.store;

import java.nio.file.Path;

/** The data directory was deleted or moved while Syntoma runs; nothing can be saved. */
public final class StoreGoneException extends RuntimeException {
    StoreGoneException(Path dir) {
        super(
                "the data directory " + dir
                        + " was deleted or moved while Syntoma runs, so nothing of this was saved. Put it back"
                        + " where it was; or save everything now under Logbook, In and out, which still works until Syntoma stops");
    }
}

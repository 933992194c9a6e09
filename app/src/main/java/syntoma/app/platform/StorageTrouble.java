package syntoma.app.platform;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Optional;
import java.util.Set;
import org.h2.api.ErrorCode;

/** Tells a disk that is full or cannot be written from a mistake of Syntoma's own. */
final class StorageTrouble {
    private static final Set<Integer> CODES = Set.of(
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.FILE_CORRUPTED_1,
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.DATABASE_IS_READ_ONLY);

    private StorageTrouble() {}

    /** The sentence for the user, where the store is what failed. */
    static Optional<String> in(Throwable failure) {
        boolean storage = false;
        String reason = "";
        for (Throwable t = failure; t != null; t = t.getCause()) {
            storage |= t instanceof SQLException sql && CODES.contains(sql.getErrorCode());
            if (t instanceof IOException && t.getMessage() != null) {
                reason = " (" + t.getMessage() + ")";
            }
        }
        return storage
                ? Optional.of("The disk with Syntoma's data cannot be written" + reason
                        + "; nothing of this was kept. Free some space, then stop Syntoma and start it again")
                : Optional.empty();
    }
}

package syntoma.app.store;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;

/** Tells a disk that is full or cannot be written from a mistake of Syntoma's own. */
public final class StorageTrouble {
    private static final Set<Integer> CODES = Set.of(
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.DATABASE_IS_READ_ONLY);

    private StorageTrouble() {}

    private static boolean isDamage(Throwable t) {
        return t instanceof MVStoreException chunk && chunk.getErrorCode() == DataUtils.ERROR_FILE_CORRUPT
                || t instanceof SQLException sql && sql.getErrorCode() == ErrorCode.FILE_CORRUPTED_1;
    }

    /** The sentence for the user, where the store is what failed. */
    public static Optional<String> in(Throwable failure) {
        List<Throwable> chain = new ArrayList<>();
        collect(failure, chain);
        if (chain.stream().anyMatch(StorageTrouble::isDamage)) {
            return Optional.of(
                    "A page of Syntoma's data cannot be read; nothing of this was kept. Stop Syntoma and start it"
                            + " again with --mend: it keeps a copy of the file and goes on with all that can be read");
        }
        boolean storage = chain.stream()
                .anyMatch(t -> t instanceof MVStoreException
                        || t instanceof FileSystemException
                        || t instanceof SQLException sql && CODES.contains(sql.getErrorCode()));
        if (!storage) {
            return Optional.empty();
        }
        String reason = chain.stream()
                .filter(IOException.class::isInstance)
                .map(StorageTrouble::reason)
                .filter(why -> !why.isEmpty())
                .map(why -> " (" + why + ")")
                .findFirst()
                .orElse("");
        return Optional.of("The disk with Syntoma's data cannot be written" + reason
                + "; nothing of this was kept. Free some space, then stop Syntoma and start it again");
    }

    /** What the system says, without the names of files. */
    private static String reason(Throwable trouble) {
        String why = trouble instanceof FileSystemException file ? file.getReason() : trouble.getMessage();
        return why == null ? "" : why;
    }

    /** Causes, and what a failed batch holds beside its cause. */
    private static void collect(Throwable failure, List<Throwable> chain) {
        if (failure == null || chain.contains(failure)) {
            return;
        }
        chain.add(failure);
        collect(failure.getCause(), chain);
        if (failure instanceof SQLException sql) {
            collect(sql.getNextException(), chain);
        }
    }
}

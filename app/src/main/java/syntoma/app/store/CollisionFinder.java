package syntoma.app.store;

import java.sql.SQLException;
import java.util.Set;
import org.h2.api.ErrorCode;
import org.springframework.dao.OptimisticLockingFailureException;

/** Tells that two changes met from a mistake of Syntoma's own. */
public final class CollisionFinder {
    private static final Set<Integer> CODES = Set.of(
            ErrorCode.DUPLICATE_KEY_1,
            ErrorCode.REFERENTIAL_INTEGRITY_VIOLATED_PARENT_MISSING_1,
            ErrorCode.REFERENTIAL_INTEGRITY_VIOLATED_CHILD_EXISTS_1,
            ErrorCode.LOCK_TIMEOUT_1,
            ErrorCode.DEADLOCK_1,
            ErrorCode.CONCURRENT_UPDATE_1,
            ErrorCode.ROW_NOT_FOUND_WHEN_DELETING_1);

    private CollisionFinder() {}

    /** Whether a failure comes from another change at the same time. */
    public static boolean isIn(Throwable failure) {
        int depth = 0;
        for (Throwable t = failure; t != null && depth < 20; t = t.getCause(), depth++) {
            if (t instanceof OptimisticLockingFailureException
                    || t instanceof jakarta.persistence.OptimisticLockException
                    || t instanceof SQLException sql && CODES.contains(sql.getErrorCode())) {
                return true;
            }
        }
        return false;
    }
}

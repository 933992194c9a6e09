package syntoma.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Optional;
import org.h2.api.ErrorCode;
import org.junit.jupiter.api.Test;

class StorageTroubleTest {
    @Test
    void a_full_disk_is_told_from_a_mistake() {
        var full = new IllegalStateException(
                new SQLException("io", "90031", ErrorCode.IO_EXCEPTION_2, new IOException("No space left on device")));
        assertTrue(StorageTrouble.in(full).orElseThrow().contains("No space left on device"));
        assertEquals(Optional.empty(), StorageTrouble.in(new IllegalStateException(new SQLException("bad sql"))));
    }
}

package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.io.InputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** An import can be told to stop, and then nothing of it is kept; a file that is too large is not even begun. */
@ApiTest
class ImportCancelTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private ImportService imports;

    @Autowired
    private ImportProgress progress;

    /** Rows without end, and a stop after a thousand. */
    private static final class Endless extends InputStream {
        private static final byte[] HEADER = "taken_at,campsite,setup,rsrp_dbm,outcome\n".getBytes();
        private final ImportProgress.Run run;
        private String line = "";
        private int at;
        private int rows;
        private int header;

        Endless(ImportProgress.Run run) {
            this.run = run;
        }

        @Override
        public int read() {
            if (header < HEADER.length) {
                return HEADER[header++];
            }
            if (at == line.length()) {
                rows++;
                if (rows == 1_000) {
                    run.cancel();
                }
                line = String.format(
                        "2026-08-%02dT%02d:%02d:00+03:00,Quarry Lake,Roof dome,-%d,ok%n",
                        1 + rows / 1440 % 28, rows / 60 % 24, rows % 60, 80 + rows % 30);
                at = 0;
            }
            return line.charAt(at++);
        }
    }

    @Test
    void a_cancelled_import_keeps_nothing() throws Exception {
        try (ImportProgress.Run run = progress.begin("mine", () -> false)) {
            assertNotNull(progress.find("mine"));
            assertThrows(
                    ImportCancelledException.class,
                    () -> imports.run(new Endless(run), ImportService.FileSelection.ALL, false, run));
        }
        assertNull(progress.find("mine"));
        assertEquals("[]", new Requests(mvc).read("/api/campsites").json().toString());
    }

    @Test
    void a_stop_of_what_does_not_run_and_a_file_of_200_mb_are_told_so() throws Exception {
        Requests requests = new Requests(mvc);
        assertEquals(404, requests.ask(delete("/api/imports/other")).status());
        Requests.Answer large = requests.ask(post("/api/measurements/import")
                .contentType(MediaType.parseMediaType("text/csv"))
                .with(request -> {
                    request.setContent(new byte[200_000_001]);
                    return request;
                }));
        assertEquals(413, large.status());
        assertEquals(
                "the body has 200 MB (200000001 bytes); allowed are up to 200 MB, about a million rows. Split the file by"
                        + " year or by campsite",
                large.json().get("detail").asText());
    }
}

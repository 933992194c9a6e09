package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.Link;
import syntoma.standin.speed.SpeedServer;

/** Runs against a speed server over a made-up link, and against what is none. */
@ApiTest
class RunsTest {
    private static final String RUN =
            "{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"kind\":\"%s\"%s}";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    private record Fixed(double downMbps, double upMbps, double idleMs, double bufferMs) implements Link {}

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private static SpeedServer server(String key) throws Exception {
        return SpeedServer.start("127.0.0.1", 0, key, Limits.USUAL, new Fixed(24, 8, 30, 120));
    }

    private Requests.Answer json(MockHttpServletRequestBuilder call, String body) throws Exception {
        return requests.ask(call.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private Requests.Answer use(int port, String key) throws Exception {
        return json(
                put("/api/measure/server"), "{\"address\":\"http://127.0.0.1:" + port + "\",\"key\":\"" + key + "\"}");
    }

    private long start(String kind, String more) throws Exception {
        Requests.Answer begun = json(post("/api/runs"), RUN.formatted(kind, more));
        assertEquals(201, begun.status(), begun.text());
        return begun.json().get("id").asLong();
    }

    private JsonNode run(long id) throws Exception {
        return requests.read("/api/runs/" + id).json();
    }

    private JsonNode over(long id) throws Exception {
        for (int i = 0; i < 400; i++) {
            JsonNode run = run(id);
            if (!run.get("sentence").isNull() || run.get("state").asText().equals("cancelled")) {
                return run;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("run " + id + " does not end: " + run(id));
    }

    private String logged(JsonNode run) throws Exception {
        return requests.read("/api/measurements/" + run.get("measurementId").asLong())
                .text();
    }

    /** The rate of the link, of which a machine that is busy with other tests may lose a little and cannot gain any. */
    private static void atRate(double linkMbps, JsonNode foundMbps) {
        double found = foundMbps.asDouble();
        assertTrue(found > 0.88 * linkMbps && found < 1.05 * linkMbps, found + " of " + linkMbps + " Mb/s");
    }

    @Test
    void a_light_run_finds_the_rate_of_the_link_and_is_logged() throws Exception {
        try (SpeedServer server = server("open-sesame")) {
            assertEquals(
                    "{\"address\":\"http://127.0.0.1:" + server.port()
                            + "\",\"hasSecret\":true,\"publicAllowed\":false}",
                    use(server.port(), "open-sesame").text());
            long id = start("light", ",\"trial\":\"Panel\",\"round\":2");
            assertEquals(
                    409, json(post("/api/runs"), RUN.formatted("light", "")).status(), "one at a time");
            JsonNode run = over(id);
            assertEquals("done", run.get("state").asText(), run.toString());
            atRate(24, run.get("downMbps"));
            atRate(8, run.get("upMbps"));
            double idle = run.get("idleMs").asDouble();
            assertTrue(idle >= 30 && idle < 60, run.toString());
            assertTrue(run.get("downLoadedMs").asDouble() > idle + 30, run.toString());
            assertEquals(0, run.get("lossPct").asDouble());
            long bytes = run.get("bytesUsed").asLong();
            assertTrue(bytes > 3_000_000 && bytes < 17_000_000, bytes + " bytes");
            assertTrue(run.get("seconds").asDouble() < 14, run.toString());
            assertTrue(run.get("series").size() > 20);
            assertTrue(run.get("sentence").asText().contains("Mb/s up"), run.toString());
            String stored = logged(run);
            assertTrue(stored.contains("Panel") && stored.contains("light run, ") && stored.contains("\"ok\""), stored);
            assertFalse(requests.read("/api/measure/server").text().contains("sesame"));
            assertFalse(requests.read("/api/measurements.csv").text().contains("sesame"));
        }
    }

    @Test
    void a_budget_ends_a_run_and_is_not_passed() throws Exception {
        try (SpeedServer server = server("")) {
            use(server.port(), "");
            JsonNode run = over(start("full", ",\"budgetMb\":12,\"log\":false"));
            assertEquals("done", run.get("state").asText(), run.toString());
            assertTrue(run.get("endedBecause").asText().contains("budget of 12 MB"), run.toString());
            assertTrue(run.get("bytesUsed").asLong() <= 12_000_000, run.toString());
            atRate(24, run.get("downMbps"));
            assertTrue(run.get("measurementId").isNull());
        }
    }

    @Test
    void a_server_that_goes_away_is_a_failed_run_and_no_rate_of_nought() throws Exception {
        SpeedServer server = server("");
        use(server.port(), "");
        long id = start("full", "");
        for (int i = 0; i < 100 && run(id).get("bytesUsed").asLong() < 2_000_000; i++) {
            Thread.sleep(100);
        }
        server.close();
        JsonNode run = over(id);
        assertEquals("failed", run.get("state").asText(), run.toString());
        assertTrue(run.get("endedBecause").asText().length() > 10, run.toString());
        assertTrue(run.get("bytesUsed").asLong() >= 2_000_000, run.toString());
        assertTrue(run.get("upMbps").isNull());
        String stored = logged(run);
        assertTrue(stored.contains("\"failed\"") && !stored.contains("Mbps"), stored);
    }

    /** A link that carries nothing any more after a while. */
    private static final class Stalling implements Link {
        private volatile boolean stalled;

        @Override
        public double downMbps() {
            return stalled ? 0 : 24;
        }

        @Override
        public double upMbps() {
            return downMbps();
        }

        @Override
        public double idleMs() {
            return 10;
        }

        @Override
        public double bufferMs() {
            return 50;
        }
    }

    @Test
    void a_server_that_stalls_is_a_failed_run_with_its_bytes_counted() throws Exception {
        Stalling link = new Stalling();
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", Limits.USUAL, link)) {
            use(server.port(), "");
            long id = start("full", "");
            for (int i = 0; i < 100 && run(id).get("bytesUsed").asLong() < 1_000_000; i++) {
                Thread.sleep(50);
            }
            link.stalled = true;
            JsonNode run = over(id);
            assertEquals("failed", run.get("state").asText(), run.toString());
            assertTrue(run.get("endedBecause").asText().contains("nothing came through for 5 s"), run.toString());
            assertTrue(
                    run.get("bytesUsed").asLong() >= 1_000_000
                            && run.get("downMbps").isNull(),
                    run.toString());
        }
    }

    @ParameterizedTest
    @CsvSource({"'','ended the stream early'", "'0123456789','ended the stream early'"})
    void a_server_that_answers_at_once_and_is_done_is_a_failed_run(String body, String why) throws Exception {
        try (ServerSocket hasty = new ServerSocket(0)) {
            use(hasty.getLocalPort(), "");
            Thread answering = new Thread(() -> {
                while (!hasty.isClosed()) {
                    hastily(hasty, body);
                }
            });
            answering.setDaemon(true);
            answering.start();
            JsonNode run = over(start("full", ""));
            assertEquals("failed", run.get("state").asText(), run.toString());
            assertTrue(run.get("endedBecause").asText().contains(why), run.toString());
            assertTrue(run.get("downMbps").isNull() && run.get("upMbps").isNull(), run.toString());
        }
    }

    /** Says that it is a speed server, answers each ping, and gives next to nothing for a stream. */
    private static void hastily(ServerSocket hasty, String body) {
        try (Socket socket = hasty.accept()) {
            String asked = new String(socket.getInputStream().readNBytes(6), StandardCharsets.UTF_8);
            socket.getInputStream().read(new byte[4_096]);
            String said = asked.startsWith("GET / ")
                    ? "{\"speedServer\":1,\"runs\":4,\"seconds\":60,\"bytes\":4000000000}"
                    : asked.startsWith("GET /p") ? "" : body;
            socket.getOutputStream()
                    .write(("HTTP/1.1 200 OK\r\nConnection: close\r\nContent-Length: " + said.length() + "\r\n\r\n"
                                    + said)
                            .getBytes(StandardCharsets.UTF_8));
        } catch (IOException gone) {
            // the test is over
        }
    }

    @Test
    void a_run_is_cancelled_at_once() throws Exception {
        try (SpeedServer server = server("")) {
            use(server.port(), "");
            long id = start("full", "");
            Thread.sleep(2_600);
            long asked = System.nanoTime();
            requests.ask(delete("/api/runs/" + id));
            JsonNode run = over(id);
            assertTrue(System.nanoTime() - asked < 2_000_000_000L);
            assertEquals("cancelled", run.get("state").asText());
            assertTrue(run.get("measurementId").isNull());
            assertTrue(run.get("bytesUsed").asLong() > 0, run.toString());
        }
    }

    @Test
    void what_is_no_speed_server_is_said_in_words() throws Exception {
        try (SpeedServer server = server("open-sesame")) {
            use(server.port(), "another-word");
            assertTrue(over(start("light", "")).get("endedBecause").asText().contains("another key"));
            assertTrue(json(post("/api/measure/server/probe"), "{}").text().contains("another key"));
            use(server.port(), "open-sesame");
            assertTrue(json(post("/api/measure/server/probe"), "{}")
                    .json()
                    .get("reached")
                    .asBoolean());
        }
        try (ServerSocket other = new ServerSocket(0)) {
            use(other.getLocalPort(), "");
            answer(other, "HTTP/1.1 302 Found\r\nLocation: http://127.0.0.1:1/\r\nContent-Length: 0\r\n\r\n");
            assertTrue(over(start("light", "")).get("endedBecause").asText().contains("not followed"));
            answer(other, "HTTP/1.1 200 OK\r\nContent-Length: 12\r\n\r\n<p>Hello</p>");
            JsonNode same = over(start("light", ""));
            assertTrue(same.get("endedBecause").asText().contains("no speed server"), same.toString());
            answer(other, "what is this\r\n\r\n");
            assertTrue(over(start("light", "")).get("endedBecause").asText().contains("broke"));
        }
        JsonNode run = over(start("light", ""));
        assertTrue(run.get("endedBecause").asText().contains("nothing answers at"), run.toString());
        assertEquals(0, run.get("bytesUsed").asLong());
    }

    private static void answer(ServerSocket server, String text) {
        Thread once = new Thread(() -> {
            try (Socket socket = server.accept()) {
                socket.getInputStream().read(new byte[4_096]);
                socket.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
            } catch (IOException gone) {
                // the test is over
            }
        });
        once.setDaemon(true);
        once.start();
    }

    @ParameterizedTest
    @CsvSource({
        "ftp://192.0.2.1:21",
        "http://",
        "192.0.2.1:80",
        "http://192.0.2.1/path",
        "http://user@192.0.2.1",
        "http://a b",
        "http://192.0.2.1:99999",
        "file:///etc/passwd",
        "javascript:alert(1)",
        "http://192.0.2.1?x=1",
        "http://[::1"
    })
    void an_address_that_is_none_is_refused(String address) throws Exception {
        Requests.Answer refused = json(put("/api/measure/server"), "{\"address\":\"" + address + "\"}");
        assertEquals(400, refused.status(), refused.text());
        assertEquals("address", refused.json().at("/errors/0/field").asText());
    }

    @ParameterizedTest
    @CsvSource({
        "kind, '{\"setup\":\"A\",\"carrier\":\"B\",\"campsite\":\"C\",\"kind\":\"quick\"}'",
        "kind, '{\"setup\":\"A\",\"carrier\":\"B\",\"campsite\":\"C\"}'",
        "setup, '{\"carrier\":\"B\",\"campsite\":\"C\",\"kind\":\"full\"}'",
        "carrier, '{\"setup\":\"A\",\"campsite\":\"C\",\"kind\":\"full\"}'",
        "campsite, '{\"setup\":\"A\",\"carrier\":\"B\",\"campsite\":\"\",\"kind\":\"full\"}'",
        "budgetMb, '{\"setup\":\"A\",\"carrier\":\"B\",\"campsite\":\"C\",\"kind\":\"full\",\"budgetMb\":0}'",
        "round, '{\"setup\":\"A\",\"carrier\":\"B\",\"campsite\":\"C\",\"kind\":\"full\",\"round\":0}'"
    })
    void a_run_that_is_asked_for_wrongly_is_refused_by_its_field(String field, String body) throws Exception {
        Requests.Answer refused = json(post("/api/runs"), body);
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText());
    }

    @Test
    void what_went_on_when_syntoma_was_stopped_has_failed(@Autowired RunBook book, @Autowired Runs runs)
            throws Exception {
        long id = book.begin(
                new RunRequest("Mast panel", "Tarnwave", "Amber Spit", null, null, "full", null, true),
                "http://192.0.2.1:8790",
                java.time.OffsetDateTime.parse("2026-08-14T10:00:00+03:00"));
        book.note(id, RunState.UP, 12_345_678);
        runs.endBroken();
        JsonNode run = run(id);
        assertEquals("failed", run.get("state").asText());
        assertEquals(12_345_678, run.get("bytesUsed").asLong());
        assertTrue(run.get("sentence").asText().contains("Syntoma was stopped"));
        assertTrue(logged(run).contains("12.3 MB"));
    }
}

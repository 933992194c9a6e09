package syntoma.standin.speed;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

class SpeedServerTest {
    private static final Limits SMALL = new Limits(2, Duration.ofSeconds(20), 3_000_000);

    private final HttpClient client = HttpClient.newHttpClient();

    /** A link of fixed figures. */
    private record Fixed(double downMbps, double upMbps, double idleMs, double bufferMs) implements Link {}

    private static HttpRequest.Builder to(SpeedServer server, String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + server.port() + path))
                .version(HttpClient.Version.HTTP_1_1);
    }

    private HttpResponse<byte[]> send(HttpRequest request) throws Exception {
        return client.send(request, HttpResponse.BodyHandlers.ofByteArray());
    }

    private HttpResponse<byte[]> get(SpeedServer server, String path) throws Exception {
        return send(to(server, path).build());
    }

    @Test
    void it_says_what_it_is_and_gives_as_many_bytes_as_are_asked_for() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", SMALL, Link.REAL)) {
            assertEquals(
                    "{\"speedServer\":1,\"runs\":2,\"seconds\":20,\"bytes\":3000000}",
                    new String(get(server, "/").body()));
            assertEquals(204, get(server, "/ping").statusCode());
            assertEquals(
                    1_234_567,
                    get(server, "/down?run=run-of-tests&bytes=1234567").body().length);
            assertEquals(
                    1_000,
                    get(server, "/down?run=run-of-tests&bytes=1000&mbps=1").body().length);
            assertTrue(get(server, "/down?run=run-of-tests").body().length <= 3_000_000, "no more than is allowed");
            assertEquals(404, get(server, "/elsewhere").statusCode());
        }
    }

    @Test
    void what_comes_in_is_counted_as_it_comes() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", SMALL, Link.REAL)) {
            HttpResponse<InputStream> counted = client.send(
                    to(server, "/received?run=run-of-tests").build(), HttpResponse.BodyHandlers.ofInputStream());
            assertEquals(
                    200,
                    send(to(server, "/up?run=run-of-tests")
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(new byte[400_000]))
                                    .build())
                            .statusCode());
            try (InputStream lines = counted.body()) {
                String line = "";
                while (!line.endsWith(" 400000\n")) {
                    line += (char) lines.read();
                    assertTrue(line.length() < 400, line);
                }
            }
            assertEquals(
                    413,
                    send(to(server, "/up?run=run-of-tests")
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(new byte[2_900_000]))
                                    .build())
                            .statusCode());
        }
    }

    @Test
    void without_the_key_nothing_is_said() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "open-sesame", SMALL, Link.REAL)) {
            for (String path : List.of("/", "/ping", "/down?run=run-of-tests&bytes=10")) {
                assertEquals(401, get(server, path).statusCode(), path);
                assertEquals(
                        401,
                        send(to(server, path)
                                        .header("Authorization", "Bearer open-sesam")
                                        .build())
                                .statusCode(),
                        path);
            }
            assertEquals(
                    204,
                    send(to(server, "/ping")
                                    .header("Authorization", "Bearer open-sesame")
                                    .build())
                            .statusCode());
        }
    }

    @Test
    void a_ticket_lets_its_run_in_and_its_page_needs_none() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "open-sesame", SMALL, Link.REAL)) {
            String good = Ticket.of("open-sesame", "run-of-tests", Instant.now().plusSeconds(60));
            String late = Ticket.of("open-sesame", "run-of-tests", Instant.now().minusSeconds(60));
            assertEquals(
                    204, get(server, "/ping?run=run-of-tests&ticket=" + good).statusCode());
            assertEquals(
                    401, get(server, "/ping?run=run-of-others&ticket=" + good).statusCode());
            assertEquals(
                    401, get(server, "/ping?run=run-of-tests&ticket=" + late).statusCode());
            for (String own : List.of("/measure", "/measure.js", "/measure.css")) {
                HttpResponse<byte[]> page = get(server, own);
                assertEquals(200, page.statusCode(), own);
                assertTrue(page.headers()
                        .firstValue("Content-Security-Policy")
                        .orElse("")
                        .contains("connect-src 'self'"));
            }
        }
    }

    @Test
    void a_page_of_another_origin_gets_no_leave() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", SMALL, Link.REAL)) {
            HttpResponse<byte[]> asked = send(to(server, "/ping")
                    .header("Origin", "https://192.0.2.7:8787")
                    .build());
            assertTrue(asked.headers().firstValue("Access-Control-Allow-Origin").isEmpty());
        }
    }

    @Test
    void a_third_run_waits_for_its_turn() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", SMALL, Link.REAL)) {
            get(server, "/down?run=first-run&bytes=10");
            get(server, "/down?run=second-run&bytes=10");
            assertEquals(429, get(server, "/down?run=third-run&bytes=10").statusCode());
            assertEquals(200, get(server, "/down?run=first-run&bytes=10").statusCode());
        }
    }

    @Test
    void a_made_up_link_holds_the_rate_and_delays_what_is_asked_beside_it() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", SMALL, new Fixed(8, 4, 30, 200))) {
            get(server, "/ping");
            double alone = pingMs(server);
            assertTrue(alone >= 30 && alone < 120, alone + " ms");
            long start = System.nanoTime();
            CompletableFuture<HttpResponse<byte[]>> loaded = client.sendAsync(
                    to(server, "/down?run=run-of-tests&bytes=1500000").build(),
                    HttpResponse.BodyHandlers.ofByteArray());
            Thread.sleep(1_000);
            double beside = pingMs(server);
            loaded.join();
            double mbps = 1_500_000 * 8 / ((System.nanoTime() - start) / 1e3);
            // a busy machine may make both later, and neither sooner
            assertTrue(mbps > 6.8 && mbps < 8.8, mbps + " Mb/s");
            assertTrue(beside > 130 && beside < 500, beside + " ms");
        }
    }

    private double pingMs(SpeedServer server) throws Exception {
        long asked = System.nanoTime();
        get(server, "/ping");
        return (System.nanoTime() - asked) / 1e6;
    }

    @Test
    void alone_it_serves_this_machine_unless_it_has_a_key() {
        assertEquals(new Options(8790, "127.0.0.1", ""), Options.of());
        assertEquals(new Options(9000, "0.0.0.0", "open-sesame"), Options.of("--key", "open-sesame", "--port", "9000"));
        assertEquals(new Options(8790, "localhost", ""), Options.of("--bind", "localhost"));
        for (String[] wrong : new String[][] {
            {"--bind", "0.0.0.0"}, {"--port", "70000"}, {"--port"}, {"--key", "short"}, {"--colour", "blue"}
        }) {
            assertTrue(assertThrows(IllegalArgumentException.class, () -> Options.of(wrong))
                    .getMessage()
                    .contains(wrong[0]));
        }
    }
}

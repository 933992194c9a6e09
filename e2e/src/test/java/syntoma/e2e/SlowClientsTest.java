package syntoma.e2e;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Bodies that drip and bodies that are too large: nobody else waits, and each is told why. */
class SlowClientsTest {
    private static final int DRIPS = 300;
    private static final long LONGEST_MS = 1_000;
    private static final long LATE_MS = 300;

    @TempDir
    private static Path dir;

    private static RunningApp app;

    private final HttpClient client = HttpClient.newHttpClient();

    @BeforeAll
    static void start() {
        app = RunningApp.start(dir, false);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    @Test
    void three_hundred_slow_bodies_keep_nobody_waiting() throws Exception {
        List<Socket> drips = new ArrayList<>();
        try {
            log(0);
            for (int i = 0; i < DRIPS; i++) {
                drips.add(drip());
            }
            for (int i = 1; i <= 10; i++) {
                for (Socket drip : drips) {
                    drip.getOutputStream().write(' ');
                }
                long start = System.nanoTime();
                log(i);
                assertTrue(app.read("/actuator/health").contains("UP"));
                long ms = (System.nanoTime() - start) / 1_000_000;
                assertTrue(ms < LONGEST_MS, "logging and health took " + ms + " ms");
            }
        } finally {
            for (Socket drip : drips) {
                drip.close();
            }
        }
    }

    private static Socket drip() throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), app.port());
        String head = "POST /api/measurements HTTP/1.1\r\nHost: 127.0.0.1:" + app.port()
                + "\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    @Test
    void what_the_address_says_counts_once_however_late_the_body_comes() throws Exception {
        sent("/api/fitout/plans", HttpRequest.BodyPublishers.ofString("{\"name\":\"Van\"}"));
        String plan = "{\"antenna\":{\"name\":\"Dome\",\"lengthM\":0.2,\"widthM\":0.2,\"heightM\":0.1}}";
        HttpRequest keep = HttpRequest.newBuilder(URI.create(app.address("/api/fitout/plans/1")))
                .header("Content-Type", "application/json")
                .PUT(HttpRequest.BodyPublishers.ofString(plan))
                .build();
        assertEquals(
                200, client.send(keep, HttpResponse.BodyHandlers.ofString()).statusCode());
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), app.port())) {
            String head =
                    "POST /api/fitout/plans/1/job-sheet/photos?task=polish HTTP/1.1\r\nHost: 127.0.0.1:" + app.port()
                            + "\r\nContent-Type: application/octet-stream\r\nConnection: close\r\nContent-Length: 9\r\n\r\n";
            socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
            Thread.sleep(LATE_MS);
            socket.getOutputStream().write("no photo.".getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.contains("task is “polish”, which is not on the sheet"), answer);
        }
    }

    private void log(int minute) throws Exception {
        String body = "{\"takenAt\":\"2026-08-14T18:%02d:00+03:00\",\"campsite\":\"Quarry Lake\",\"setup\":\"Dome\","
                        .formatted(minute)
                + "\"outcome\":\"ok\",\"rsrpDbm\":\"-90\"}";
        assertEquals(
                201,
                sent("/api/measurements", HttpRequest.BodyPublishers.ofString(body))
                        .statusCode());
    }

    @Test
    void a_body_that_is_too_large_is_told_so_and_harms_nothing() throws Exception {
        byte[] large = new byte[39_000_000];
        for (String path : List.of("/api/measurements", "/api/gear", "/api/gear/import", "/api/setups/check")) {
            HttpResponse<String> answer = sent(path, HttpRequest.BodyPublishers.ofByteArray(large));
            assertEquals(413, answer.statusCode());
            assertTrue(answer.body().contains("39 MB"), answer.body());
            HttpResponse<String> unsaid =
                    sent(path, HttpRequest.BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(large)));
            assertEquals(413, unsaid.statusCode());
        }
        assertTrue(app.read("/actuator/health").contains("UP"));
    }

    private HttpResponse<String> sent(String path, HttpRequest.BodyPublisher body) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(app.address(path)))
                        .header("Content-Type", "application/json")
                        .timeout(Duration.ofSeconds(30))
                        .POST(body)
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}

package syntoma.standin.fault;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import syntoma.standin.World;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Hands;
import syntoma.standin.port.LocalServer;
import syntoma.standin.router.RouterServer;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.SpeedServer;

class FaultServerTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2026-07-12T11:00:00Z"), ZoneOffset.ofHours(3));

    private final HttpClient client = HttpClient.newHttpClient();
    private final Faults faults = new Faults();
    private LocalServer switches;
    private LocalServer router;
    private SpeedServer speed;

    @BeforeEach
    void start() throws Exception {
        WorldLink link = new WorldLink(NOON, Hands.of("Amber Spit", World.MAST_PANEL, "Tarnwave"), faults);
        switches = FaultServer.start(faults);
        router = RouterServer.start("127.0.0.1", 0, link);
        speed = SpeedServer.start("127.0.0.1", 0, "", Limits.USUAL, link);
    }

    @AfterEach
    void stop() {
        speed.close();
        router.close();
        switches.close();
    }

    private HttpResponse<String> tell(String words) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + switches.port() + "/"))
                        .POST(HttpRequest.BodyPublishers.ofString(words))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> get(int port, String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> status() throws Exception {
        return get(router.port(), RouterServer.PATH);
    }

    @Test
    void each_fault_of_a_router_is_what_it_says() throws Exception {
        assertEquals(204, tell("router garbage").statusCode());
        assertTrue(status().body().startsWith("<html>"));
        tell("Router locked");
        assertEquals(401, status().statusCode());
        tell("router elsewhere");
        assertEquals(
                "http://192.0.2.1/", status().headers().firstValue("Location").orElse(""));
        tell("router impossible");
        assertTrue(status().body().matches("(?s).*\"rsrp\":\"-9[0-9]{2,3} dBm\".*"), status().body());
        tell("router placeholders");
        assertTrue(status().body().contains("\"rsrp\":\"-32768\""));
        tell("router huge");
        assertTrue(status().body().length() > 10_000_000);
        tell("router half");
        assertThrows(IOException.class, this::status);
        tell("router none");
        assertTrue(status().body().contains("\"operator\":\"Tarnwave\""));
    }

    @Test
    void a_speed_server_refuses_and_cuts() throws Exception {
        tell("speed refuse");
        assertEquals(503, get(speed.port(), "/").statusCode());
        tell("speed cut");
        assertThrows(IOException.class, () -> get(speed.port(), "/"));
        tell("speed none");
        assertEquals(200, get(speed.port(), "/").statusCode());
    }

    @Test
    void a_fault_that_is_none_is_refused_in_words() throws Exception {
        HttpResponse<String> refused = tell("router sings");
        assertEquals(400, refused.statusCode());
        assertTrue(refused.body().contains("garbage, slow"), refused.body());
        assertEquals(400, tell("mast none").statusCode());
    }
}

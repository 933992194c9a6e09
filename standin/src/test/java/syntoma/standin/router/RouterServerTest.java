package syntoma.standin.router;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import syntoma.standin.World;
import syntoma.standin.WorldLink;

class RouterServerTest {
    private static final Clock EVENING = Clock.fixed(Instant.parse("2026-09-05T19:00:00Z"), ZoneOffset.ofHours(2));

    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<String> get(RouterServer router, String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + router.port() + path))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void it_says_what_serves_what_is_in_hand() throws Exception {
        WorldLink link = new WorldLink(EVENING, new WorldLink.Hands("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave"));
        try (RouterServer router = RouterServer.start("127.0.0.1", 0, link)) {
            String panel = get(router, RouterServer.PATH).body();
            assertTrue(panel.contains("\"operator\":\"Tarnwave\"") && panel.contains("\"earfcn\":6300"), panel);
            link.hold(new WorldLink.Hands("Lighthouse Meadow", World.MAST_PANEL, "Ostrel"));
            String other = get(router, RouterServer.PATH).body();
            assertTrue(other.contains("\"operator\":\"Ostrel\"") && other.contains("\"band\":\"B3\""), other);
            assertNotEquals(panel, other);
            link.hold(new WorldLink.Hands("Juniper Ridge", World.WHIPS, "Ostrel"));
            assertTrue(get(router, RouterServer.PATH).body().contains("no service"), "Ostrel is dead there");
            assertEquals(404, get(router, "/else").statusCode());
        }
    }

    @Test
    void names_that_the_world_does_not_know_stand_for_the_evenings() {
        WorldLink link = new WorldLink(EVENING, new WorldLink.Hands("Nowhere", "A coat hanger", "Nobody"));
        assertEquals(new WorldLink.Hands("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave"), link.hands());
        assertTrue(link.downMbps() > 0 && link.upMbps() > 0 && link.idleMs() > 0);
    }
}

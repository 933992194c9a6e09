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
import java.util.Set;
import org.junit.jupiter.api.Test;
import syntoma.standin.World;
import syntoma.standin.WorldLink;
import syntoma.standin.air.Hands;
import syntoma.standin.port.LocalServer;

class RouterServerTest {
    private static final Clock EVENING = Clock.fixed(Instant.parse("2026-09-05T19:00:00Z"), ZoneOffset.ofHours(2));

    private final HttpClient client = HttpClient.newHttpClient();

    private HttpResponse<String> get(LocalServer router, String path) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + router.port() + path))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void it_says_what_serves_what_is_in_hand() throws Exception {
        WorldLink link = new WorldLink(EVENING, Hands.of("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave"));
        try (LocalServer router = RouterServer.start("127.0.0.1", 0, link)) {
            String panel = get(router, RouterServer.PATH).body();
            assertTrue(panel.contains("\"operator\":\"Tarnwave\"") && panel.contains("\"arfcn\":6300"), panel);
            link.hold(Hands.of("Lighthouse Meadow", World.MAST_PANEL, "Ostrel"));
            String other = get(router, RouterServer.PATH).body();
            assertTrue(other.contains("\"operator\":\"Ostrel\"") && other.contains("\"band\":\"B3\""), other);
            assertNotEquals(panel, other);
            link.hold(Hands.of("Juniper Ridge", World.WHIPS, "Ostrel"));
            assertTrue(get(router, RouterServer.PATH).body().contains("no service"), "Ostrel is dead there");
            assertEquals(404, get(router, "/else").statusCode());
        }
    }

    @Test
    void names_that_the_world_does_not_know_stand_for_the_evenings() {
        WorldLink link = new WorldLink(EVENING, Hands.of("Nowhere", "A coat hanger", "Nobody"));
        assertEquals(Hands.of("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave"), link.hands());
        assertTrue(link.downMbps() > 0 && link.upMbps() > 0 && link.idleMs() > 0);
    }

    private String told(LocalServer router, String command) throws Exception {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + router.port() + RouterServer.HANDS_PATH))
                        .POST(HttpRequest.BodyPublishers.ofString(command))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        return answer.statusCode() + answer.body();
    }

    @Test
    void its_hands_do_what_they_are_told_and_the_other_layout_says_the_same() throws Exception {
        WorldLink link = new WorldLink(EVENING, Hands.of("Lighthouse Meadow", World.ROOF_DOME, "Tarnwave"));
        try (LocalServer router = RouterServer.start("127.0.0.1", 0, link)) {
            assertEquals("204", told(router, "Put up the mast"));
            assertEquals("204", told(router, "lock b3, n78"));
            assertEquals("204", told(router, "aim 320"));
            assertEquals(
                    Hands.of("Lighthouse Meadow", World.MAST_PANEL, "Tarnwave")
                            .locked(Set.of("B3", "n78"))
                            .aimed(320),
                    link.hands());
            String flat = get(router, RouterServer.RADIO_PATH).body();
            assertTrue(flat.contains("\"lte_band\":\"3\"") && flat.contains("\"lte_arfcn\":\"1300\""), flat);
            assertEquals("204", told(router, "go to Quarry Lake"));
            assertEquals("204", told(router, "unlock"));
            assertEquals("Quarry Lake", link.hands().campsite());
            String refused = told(router, "juggle");
            assertTrue(refused.startsWith("400") && refused.contains("put up the mast"), refused);
            assertTrue(told(router, "lock B99").startsWith("400"));
            assertTrue(told(router, "aim 361").contains("heading is 361 degrees; allowed is 0 to 360 degrees"));
        }
    }
}

package syntoma.app.pitch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Arriving, and what the advice makes of what the phone shows. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class ArrivalTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer arrive(String campsite, String coordinates, String outside) throws Exception {
        return requests.send(
                "/api/arrival",
                Map.of(
                        "campsite",
                        campsite,
                        "coordinates",
                        coordinates,
                        "surroundings",
                        List.of("woods", "valley"),
                        "phones",
                        List.of(Map.of("carrier", "Tarnwave", "outside", outside, "inside", "")),
                        "again",
                        false));
    }

    @Test
    void a_new_campsite_begins_a_stay_with_what_it_is_like_and_the_advice_follows_the_phone() throws Exception {
        JsonNode line = arrive("Fern Gully", "N 63° 10' E 21° 20'", "97").json();
        assertEquals("Fern Gully", line.get("campsite").asText());
        double strong = chance("Roof dome", "Tarnwave");
        assertEquals(200, arrive("Fern Gully", "", "-119 dBm").status());
        double weak = chance("Roof dome", "Tarnwave");
        assertTrue(weak < strong - 0.1, weak + " after " + strong);
        JsonNode again = requests.read("/api/arrival?campsite=Fern Gully&coordinates=63.17 21.3")
                .json();
        assertEquals("woods, valley", again.at("/last/surroundings").asText());
        assertEquals("Fern Gully", again.at("/near/0/campsite").asText());
        assertTrue(again.at("/near/0/km").asDouble() < 3);
        JsonNode place = requests.read("/api/campsites").json();
        assertTrue(place.toString().contains("63.166667"), place.toString());
    }

    @Test
    void bars_are_noted_and_change_nothing() throws Exception {
        arrive("Heron Cove", "", "-100");
        double before = chance("Roof dome", "Tarnwave");
        assertEquals(
                200,
                requests.send(
                                "/api/arrival",
                                Map.of(
                                        "campsite",
                                        "Heron Cove",
                                        "surroundings",
                                        List.of(),
                                        "phones",
                                        List.of(Map.of("carrier", "Tarnwave", "outside", "", "inside", "1 bar")),
                                        "again",
                                        false))
                        .status());
        assertEquals(before, chance("Roof dome", "Tarnwave"), 1e-9);
    }

    private double chance(String setup, String carrier) throws Exception {
        requests.put("/api/standing", Map.of("setup", setup, "carrier", carrier));
        for (JsonNode option : requests.read("/api/advice").json().get("options")) {
            if (option.get("kind").asText().equals("as-it-is")) {
                return option.get("chance").asDouble();
            }
        }
        throw new AssertionError(setup);
    }

    @Test
    void a_campsite_that_is_known_shows_what_held_there_and_another_stay_there_can_begin() throws Exception {
        JsonNode look = requests.read("/api/arrival?campsite=Quarry Lake").json();
        assertEquals(2, look.at("/last/stays").asInt());
        assertEquals("Mast panel", look.at("/last/did/0/setup/name").asText());
        assertTrue(look.at("/last/did/0/up").asDouble() > 0);
        long before = arrive("Quarry Lake", "", "-90").json().get("stay").asLong();
        assertEquals(before, arrive("Quarry Lake", "", "-91").json().get("stay").asLong());
        JsonNode anew = requests.send(
                        "/api/arrival",
                        Map.of(
                                "campsite",
                                "Quarry Lake",
                                "surroundings",
                                List.of(),
                                "phones",
                                List.of(),
                                "again",
                                true))
                .json();
        assertNotEquals(before, anew.get("stay").asLong());
    }

    @Test
    void what_cannot_be_is_named_and_nothing_is_kept() throws Exception {
        Requests.Answer off = arrive("Nowhere", "97.3, 18.1", "-90");
        assertEquals(400, off.status());
        assertEquals("coordinates", off.json().at("/errors/0/field").asText());
        assertTrue(off.json().at("/errors/0/message").asText().startsWith("latitude is 97.3"));
        Requests.Answer soso = arrive("Nowhere", "", "so so");
        assertEquals("phones[0].outside", soso.json().at("/errors/0/field").asText());
        assertTrue(!requests.read("/api/campsites").text().contains("Nowhere"));
        JsonNode look = requests.read("/api/arrival?coordinates=by the lake").json();
        assertTrue(look.get("problem").asText().startsWith("coordinates are"));
    }
}

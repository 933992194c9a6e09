package syntoma.app.find;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** One search over everything. */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class FindTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode found(String text) throws Exception {
        return requests.read("/api/find?text=" + text).json();
    }

    @ParameterizedTest
    @CsvSource({
        "quarry, stay, Quarry Lake",
        "QUARRY, stay, Quarry Lake",
        "mast, setup, Mast panel",
        "brissa, carrier, Brissa",
        "booster any, trial, Is the booster any use",
        "24 Jul, stay, Quarry Lake",
        "b3, measurements, Lighthouse Meadow"
    })
    void what_is_named_so_is_found_whatever_it_is(String text, String kind, String name) throws Exception {
        List<String> all = new ArrayList<>();
        for (JsonNode hit : found(text).get("hits")) {
            all.add(hit.get("kind").asText() + ": " + hit.get("name").asText());
        }
        assertTrue(all.contains(kind + ": " + name), all.toString());
    }

    @Test
    void notes_are_counted_by_the_stay_they_were_written_at_and_the_latest_come_first() throws Exception {
        requests.importCsv("taken_at,campsite,setup,carrier,band,up_mbps,outcome,note\n"
                + "2026-07-06T12:00:00+03:00,Saltmarsh Jetty,Roof dome,Tarnwave,B20,4,ok,herons on the jetty\n"
                + "2026-07-06T12:10:00+03:00,Saltmarsh Jetty,Roof dome,Tarnwave,B20,4,ok,more Herons 100% there\n"
                + "2026-09-02T12:00:00+02:00,Lighthouse Meadow,Roof dome,Tarnwave,B20,4,ok,no herons\n");
        JsonNode found = found("herons");
        assertTrue(found.get("since").isNull(), "all was looked through");
        assertEquals("Lighthouse Meadow", found.at("/hits/0/name").asText());
        assertEquals("1 measurement: no herons", found.at("/hits/0/says").asText());
        assertTrue(found.at("/hits/1/says").asText().startsWith("2 measurements: "), found.toString());
        // signs that a query would take for its own are signs of the text
        assertEquals(1, found("100% t").get("hits").size());
        assertEquals(0, found("h_rons").get("hits").size());
    }

    @Test
    void what_stands_nowhere_is_not_found_and_nothing_is_no_question() throws Exception {
        assertEquals(0, found("albatross").get("hits").size());
        assertEquals(400, requests.read("/api/find?text= ").status());
        assertEquals(400, requests.read("/api/find?text=" + "x".repeat(121)).status());
    }
}

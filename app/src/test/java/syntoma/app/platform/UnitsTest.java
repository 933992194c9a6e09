package syntoma.app.platform;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** A call says in which units its sentences are to be; figures stay metric. */
@ApiTest
class UnitsTest {
    private static final String HILL = "/api/bench/hill";

    @Autowired
    private MockMvc mvc;

    private Requests.Answer hill(String units) throws Exception {
        return new Requests(mvc)
                .ask(MockMvcRequestBuilders.post(HILL)
                        .header(SentenceJson.HEADER, units)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"values\":{}}"));
    }

    @Test
    void sentences_are_metric_unless_the_call_asks_for_imperial_ones() throws Exception {
        Requests.Answer plain = new Requests(mvc).send(HILL, Map.of("values", Map.of()));
        assertTrue(plain.json().get("says").asText().contains(" km, where it reaches "), plain.text());
        assertEquals(plain.text(), hill("metric").text());

        Requests.Answer imperial = hill("imperial");
        assertTrue(imperial.json().get("says").asText().contains(" mi, where it reaches "), imperial.text());
        assertTrue(imperial.json().at("/lines/3/value").asText().endsWith(" ft"), imperial.text());
        assertEquals(plain.json().get("profile"), imperial.json().get("profile"), "figures stay metric");
    }

    @Test
    void units_that_nobody_knows_are_refused_with_those_there_are() throws Exception {
        Requests.Answer refused = hill("furlongs");
        assertEquals(400, refused.status());
        assertEquals(
                "units is “furlongs”; allowed is metric, imperial",
                refused.json().get("detail").asText());
    }
}

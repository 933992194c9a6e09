package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Pasted texts over the API: what is missing is null, and nothing is refused for what it says. */
@ApiTest
class StatusTextApiTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode parsed(byte[] text) throws Exception {
        Requests.Answer answer = requests.ask(
                post("/api/status-text/parse").contentType(MediaType.TEXT_PLAIN).content(text));
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void a_page_and_a_test_come_back_as_figures_with_what_is_missing_as_null() throws Exception {
        JsonNode read = parsed("Opérateur : Brissa\nBande : 7\nRSRP : −92 dBm\nDébit descendant : 3,5 Mo/s"
                .getBytes(StandardCharsets.UTF_8));
        assertEquals("LTE", read.get("mode").asText());
        assertEquals("Brissa", read.get("carrier").asText());
        assertEquals("primary", read.at("/cells/0/role").asText());
        assertEquals("B7", read.at("/cells/0/band").asText());
        assertEquals(-92, read.at("/cells/0/rsrpDbm").asDouble());
        assertTrue(read.at("/cells/0/pci").isNull());
        assertEquals(28, read.at("/speed/downMbps").asDouble(), 1e-9);
        assertTrue(read.at("/speed/upMbps").isNull());
        assertEquals("[]", read.get("warnings").toString());
    }

    @Test
    void what_is_no_text_reads_as_nothing() throws Exception {
        byte[] binary = new byte[4_000];
        new Random(3).nextBytes(binary);
        JsonNode read = parsed(binary);
        assertEquals("[]", read.get("cells").toString());
        assertTrue(read.get("speed").isNull());
        JsonNode empty = parsed(new byte[0]);
        assertEquals("nothing-read", empty.at("/warnings/0/code").asText());
        assertTrue(empty.at("/warnings/0/line").isNull());
    }
}

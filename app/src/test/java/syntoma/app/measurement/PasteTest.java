package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** What is pasted becomes a measurement: with the line of each figure, and without what is doubtful. */
@ApiTest
class PasteTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private JsonNode pasted(String text) throws Exception {
        Requests.Answer answer = requests.ask(post("/api/measurements/paste")
                .contentType(MediaType.TEXT_PLAIN)
                .content(text));
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void figures_come_with_their_lines_and_what_is_doubtful_is_asked() throws Exception {
        JsonNode read = pasted("Network: Brissa\nBand: B20\nRSRP: 97 dBm\nRSRQ: -11 dB\nUpload: 0.9 MB/s\n"
                + "Neighbour: PCI 31 RSRP -104 dBm");
        assertEquals(
                "{\"carrier\":\"Brissa\",\"rat\":\"LTE\",\"band\":\"B20\",\"rsrqDb\":\"-11\",\"upMbps\":\"7.2\"}",
                read.get("typed").toString());
        assertEquals(5, read.at("/figures/4/line").asInt());
        assertEquals("rsrpDbm", read.at("/asked/0/field").asText());
        assertEquals("[\"-97\"]", read.at("/asked/0/choices").toString());
        assertEquals(3, read.at("/asked/0/line").asInt());
        assertTrue(read.at("/lines/2/doubtful").asBoolean());
        assertTrue(read.at("/lines/4/taken").asBoolean());
        assertFalse(read.at("/lines/5/taken").asBoolean());
        assertEquals(1, read.get("others").size());
    }

    @Test
    void of_two_networks_and_two_values_neither_is_taken_unasked() throws Exception {
        JsonNode read = pasted("Operator: Brissa\nRSRP: -97 dBm\nOperator: Ostrel\nRSRP: -88 dBm\nBand: B3");
        assertEquals("{\"rat\":\"LTE\",\"band\":\"B3\"}", read.get("typed").toString());
        assertEquals("[\"-97\",\"-88\"]", read.at("/asked/0/choices").toString());
        assertEquals("[\"Brissa\",\"Ostrel\"]", read.at("/asked/1/choices").toString());
    }

    @Test
    void a_failed_test_asks_how_it_ended_and_no_network_is_an_outcome() throws Exception {
        JsonNode failed = pasted("Speed test: download failed, server timed out");
        assertEquals("outcome", failed.at("/asked/0/field").asText());
        JsonNode none = pasted("+CEREG: 0,0\nRegistration: not registered");
        assertEquals("no_service", none.at("/typed/outcome").asText());
    }

    @Test
    void what_a_terminal_answers_is_taken_from_its_lines() throws Exception {
        JsonNode read = pasted("AT+CESQ\n+CESQ: 99,99,255,255,20,44\n\nOK\n+COPS: 0,0,\"Tarnwave\",7");
        assertEquals("-97", read.at("/typed/rsrpDbm").asText());
        assertEquals(2, where(read, "rsrpDbm"));
        assertEquals(5, where(read, "carrier"));
        assertEquals(
                "[]", pasted("Dear all, the meeting is at 10.").get("figures").toString());
    }

    private static int where(JsonNode read, String field) {
        for (JsonNode figure : read.get("figures")) {
            if (figure.get("field").asText().equals(field)) {
                return figure.get("line").asInt();
            }
        }
        return -1;
    }
}

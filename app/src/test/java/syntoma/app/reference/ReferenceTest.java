package syntoma.app.reference;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Bands and channels over the API. */
@ApiTest
class ReferenceTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @Test
    void a_band_has_its_edges() throws Exception {
        JsonNode band = requests.read("/api/bands/B20").json();
        assertEquals("[832.0,862.0]", band.get("uplinkMhz").toString());
        assertEquals("[791.0,821.0]", band.get("downlinkMhz").toString());
        assertEquals("FDD", band.get("duplex").asText());
        assertTrue(requests.read("/api/bands/B32").json().get("uplinkMhz").isNull());
        assertEquals(404, requests.read("/api/bands/B99").status());
        assertTrue(requests.read("/api/bands").json().size() > 100);
    }

    @Test
    void a_channel_number_gives_frequencies_and_never_a_guessed_band() throws Exception {
        JsonNode lte = requests.read("/api/channels?earfcn=1300").json();
        assertEquals("B3", lte.get("band").asText());
        assertEquals(1720.0, lte.get("uplinkMhz").asDouble());
        JsonNode nr = requests.read("/api/channels?nrarfcn=640000").json();
        assertTrue(nr.get("band").isNull());
        assertEquals(
                "n78",
                requests.read("/api/channels?nrarfcn=640000&band=n78")
                        .json()
                        .get("band")
                        .asText());
        assertEquals(400, requests.read("/api/channels").status());
        assertEquals(400, requests.read("/api/channels?earfcn=1300&nrarfcn=1").status());
        assertEquals(400, requests.read("/api/channels?nrarfcn=640000&band=n1").status());
    }
}

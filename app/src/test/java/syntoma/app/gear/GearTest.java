package syntoma.app.gear;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.hibernate.SessionFactory;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.DemoRig;

/** The gear shelf over the API. */
@ApiTest(eachAnew = true)
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=true")
class GearTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private jakarta.persistence.EntityManagerFactory factory;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private static Map<String, Object> gear(String kind, String name, Object price, Map<String, ?> sheet) {
        return Map.of("kind", kind, "name", name, "state", "owned", "price", price, "sheet", sheet);
    }

    @Test
    void numbers_may_be_typed_and_what_is_empty_is_left_out() throws Exception {
        JsonNode added = requests.send(
                        "/api/gear",
                        gear(
                                "device",
                                " Curlew ",
                                "420,5",
                                Map.of("bands", "b3, B20 n78", "drawW", "11", "layersNr", "", "takesAntennas", "yes")))
                .json();
        assertEquals("Curlew", added.get("name").asText());
        assertEquals(420.5, added.get("price").asDouble());
        assertEquals("[\"B3\",\"B20\",\"n78\"]", added.at("/sheet/bands").toString());
        assertTrue(added.at("/sheet/layersNr").isMissingNode());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "antenna|{\"ranges\":[{\"fromMhz\":700,\"toMhz\":900,\"fromDbi\":-300}]}|sheet.ranges[0].fromDbi|−20 to 40 dBi",
                "antenna|{\"beamDeg\":0}|sheet.beamDeg|1 to 360",
                "antenna|{\"ranges\":[{\"fromMhz\":900,\"toMhz\":700}]}|sheet|row 1",
                "antenna|{\"leads\":[{\"label\":\"1\",\"connector\":\"XYZ-male\"}]}|sheet.leads[0].connector|SMA-male",
                "antenna|{\"leads\":[{\"label\":\"1\"}]}|sheet|connector is missing",
                "device|{\"bands\":\"B3 B999\"}|sheet.bands|B999",
                "device|{\"colour\":\"red\"}|sheet.colour|not a field here",
                "device|{\"lowV\":30,\"highV\":9}|sheet|must not be above",
                "device|{\"simSlots\":1.5}|sheet.simSlots|whole number",
                "cable|{\"cableClass\":\"240-class\"}|sheet|length is missing",
                "booster|{\"tdd\":\"maybe\"}|sheet.tdd|yes or no",
            })
    void what_cannot_be_is_refused_with_the_field_and_what_is_allowed(
            String kind, String sheet, String field, String says) throws Exception {
        Map<?, ?> fields = new com.fasterxml.jackson.databind.ObjectMapper().readValue(sheet, Map.class);
        Requests.Answer answer = requests.send("/api/gear", Map.of("kind", kind, "name", "Odd", "sheet", fields));
        assertEquals(400, answer.status());
        assertEquals(field, answer.json().at("/errors/0/field").asText(), answer.text());
        assertTrue(answer.json().at("/errors/0/message").asText().contains(says), answer.text());
        assertEquals(0, requests.read("/api/gear").json().size());
    }

    @Test
    void a_price_that_is_none_a_known_name_and_another_kind_are_refused() throws Exception {
        Requests.Answer price = requests.send("/api/gear", gear("mount", "Mast", "70 or so", Map.of()));
        assertEquals("price", price.json().at("/errors/0/field").asText());
        assertTrue(price.text().contains("write a number"), price.text());
        requests.send("/api/gear", gear("mount", "Mast", "70", Map.of()));
        assertEquals(
                409,
                requests.send("/api/gear", gear("mount", "Mast", "70", Map.of()))
                        .status());
        assertEquals(
                400,
                requests.send("/api/gear", gear("balloon", "Up", "1", Map.of())).status());
        assertEquals(
                400,
                requests.put("/api/gear/1", gear("device", "Mast", "70", Map.of()))
                        .status());
        assertEquals(
                404,
                requests.put("/api/gear/99", gear("mount", "Mast", "70", Map.of()))
                        .status());
    }

    @Test
    void an_import_of_an_export_changes_nothing() throws Exception {
        Map<?, ?> demo = new com.fasterxml.jackson.databind.ObjectMapper().readValue(DemoRig.gear(), Map.class);
        JsonNode first = requests.send("/api/gear/import", demo).json();
        assertEquals(0, first.get("rejected").size(), first.toString());
        String before = requests.read("/api/gear.json").text();
        JsonNode again = requests.send(
                        "/api/gear/import",
                        new com.fasterxml.jackson.databind.ObjectMapper().readValue(before, Map.class))
                .json();
        assertEquals(0, again.get("accepted").asInt());
        assertEquals(first.get("accepted").asInt(), again.get("duplicates").asInt());
        assertEquals(before, requests.read("/api/gear.json").text());
    }

    @Test
    void five_hundred_items_come_in_and_bad_ones_cost_only_themselves() throws Exception {
        List<Map<String, Object>> items = IntStream.range(0, 500)
                .mapToObj(i -> gear("mount", "Mount " + i, i == 7 ? "7 boats" : "" + i, Map.of("heightM", 2)))
                .toList();
        var statistics = factory.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
        JsonNode report = requests.send("/api/gear/import", Map.of("format", "syntoma-gear-1", "gear", items))
                .json();
        long statements = statistics.getPrepareStatementCount();
        assertTrue(statements < 2 * items.size(), statements + " statements");
        assertEquals(499, report.get("accepted").asInt());
        assertEquals(8, report.at("/rejected/0/item").asInt());
        assertEquals(499, requests.read("/api/gear").json().size());
        assertEquals(
                400,
                requests.send("/api/gear/import", Map.of("format", "other")).status());
    }

    @Test
    void gear_in_a_setup_is_kept_and_can_be_retired() throws Exception {
        int curlew = requests.send("/api/gear", gear("device", "Curlew", "420", Map.of()))
                .json()
                .get("id")
                .asInt();
        int spare = requests.send("/api/gear", gear("mount", "Mast", "70", Map.of()))
                .json()
                .get("id")
                .asInt();
        int setup = requests.send("/api/setups", Map.of("name", "Roof dome"))
                .json()
                .get("id")
                .asInt();
        assertEquals(
                200,
                requests.put("/api/setups/" + setup, Map.of("device", curlew)).status());
        Requests.Answer kept = requests.ask(delete("/api/gear/" + curlew));
        assertEquals(409, kept.status());
        assertTrue(kept.text().contains("Roof dome") && kept.text().contains("Retire it"), kept.text());
        assertEquals(204, requests.ask(delete("/api/gear/" + spare)).status());
        Map<String, Object> retired = Map.of("kind", "device", "name", "Curlew", "state", "retired", "sheet", Map.of());
        assertEquals(
                "retired",
                requests.put("/api/gear/" + curlew, retired).json().get("state").asText());
        assertEquals(
                "Curlew",
                requests.read("/api/setups/" + setup).json().get("summary").asText());
    }

    @Test
    void a_sheet_is_typed_the_way_leaflets_write_it() throws Exception {
        JsonNode router = requests.send(
                        "/api/gear",
                        gear(
                                "device",
                                "Curlew",
                                "€ 399,00",
                                Map.of(
                                        "bands", "LTE B1/B3/B7 5G n28/78",
                                        "layersLte", "2×2",
                                        "ports", "4 × SMA",
                                        "lowV", "9 V")))
                .json();
        assertEquals(399, router.get("price").asDouble());
        assertEquals(
                "[\"B1\",\"B3\",\"B7\",\"n28\",\"n78\"]",
                router.at("/sheet/bands").toString());
        assertEquals(2, router.at("/sheet/layersLte").asInt());
        assertEquals(4, router.at("/sheet/ports").size());
        assertEquals("SMA-female", router.at("/sheet/ports/3/connector").asText());
        JsonNode antenna = requests.send(
                        "/api/gear",
                        gear(
                                "antenna",
                                "Alder",
                                100,
                                Map.of("ranges", "0.7 – 2.7 GHz 4 dBi", "leads", "2 × SMA-male, 3 m RG-58")))
                .json();
        assertEquals(700, antenna.at("/sheet/ranges/0/fromMhz").asDouble());
        assertEquals(3, antenna.at("/sheet/leads/1/lengthM").asDouble());
        assertEquals("RG-58", antenna.at("/sheet/leads/1/cableClass").asText());
        Requests.Answer wrong = requests.send("/api/gear", gear("device", "x", 1, Map.of("ports", "some holes")));
        assertEquals(400, wrong.status());
        assertTrue(wrong.text().contains("sheet.ports"), wrong.text());
    }

    @Test
    void a_pasted_sheet_is_read_and_nothing_is_kept() throws Exception {
        JsonNode read = requests.send(
                        "/api/gear/sheet-text",
                        Map.of("kind", "device", "text", "Curlew router\nLTE B3/B20\n2 x TS9\nDC 9-30 V input"))
                .json();
        JsonNode bands = read.at("/found/0");
        assertEquals("bands", bands.get("field").asText());
        assertEquals("B3 B20", bands.get("says").asText());
        assertEquals("B3/B20", bands.get("words").asText());
        assertEquals(2, bands.get("line").asInt());
        JsonNode last = read.get("found").get(read.get("found").size() - 1);
        assertEquals("ports", last.get("field").asText());
        assertEquals("2 × cellular, TS9-female", last.get("says").asText());
        assertFalse(last.get("question").asText().isEmpty());
        assertEquals(0, requests.read("/api/gear").json().size());
        assertEquals(
                400,
                requests.send("/api/gear/sheet-text", Map.of("kind", "boat", "text", "x"))
                        .status());
        assertEquals(
                400,
                requests.send("/api/gear/sheet-text", Map.of("kind", "device")).status());
    }
}

package syntoma.app.gear;

import static org.junit.jupiter.api.Assertions.assertEquals;
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
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.DemoRig;

/** The gear shelf over the API. */
@ApiTest
@TestPropertySource(properties = "spring.jpa.properties.hibernate.generate_statistics=true")
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_EACH_TEST_METHOD)
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
    void a_price_with_a_currency_sign_a_known_name_and_another_kind_are_refused() throws Exception {
        Requests.Answer price = requests.send("/api/gear", gear("mount", "Mast", "$70", Map.of()));
        assertEquals("price", price.json().at("/errors/0/field").asText());
        assertTrue(price.text().contains("currency sign"));
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
                .mapToObj(i -> gear("mount", "Mount " + i, i == 7 ? "7 EUR" : "" + i, Map.of("heightM", 2)))
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
}

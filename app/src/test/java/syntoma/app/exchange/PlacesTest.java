package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Stays and masts as files of places. */
@ApiTest(eachAnew = true)
class PlacesTest {
    private static final String GPX =
            "<?xml version=\"1.0\"?><gpx version=\"1.1\" creator=\"another\" xmlns=\"http://www.topografix.com/GPX/1/1\">";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer post(String address, String body) throws Exception {
        return requests.ask(MockMvcRequestBuilders.post(address)
                .contentType("application/octet-stream")
                .content(body));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/export.gpx", "/api/export.geojson"})
    void stays_read_back_by_themselves_are_the_same(String address) throws Exception {
        requests.send("/api/demo", List.of());
        String out = requests.read(address).text();
        requests.ask(MockMvcRequestBuilders.delete("/api/demo"));
        JsonNode report = post(address, out).json();
        assertEquals(12, report.get("accepted").asInt(), report.toString());
        assertEquals(10, report.get("createdCampsites").size());
        assertEquals(out, requests.read(address).text());
        JsonNode again = post(address, out).json();
        assertEquals(0, again.get("accepted").asInt());
        assertEquals(12, again.get("duplicates").asInt());
    }

    @Test
    void waypoints_of_others_are_campsites_and_with_a_time_stays() throws Exception {
        JsonNode report = post(
                        "/api/export.gpx",
                        GPX
                                + "<wpt lat=\"59.1\" lon=\"18.2\"><name>Foreign Cove</name><time>2026-08-01T10:00:00Z</time></wpt>"
                                + "<wpt lat=\"59.2\" lon=\"18.2\"><name>Only a place</name></wpt>"
                                + "<wpt lat=\"99\" lon=\"18.2\"><name>Off the globe</name></wpt>"
                                + "<wpt lat=\"59.2\" lon=\"18.2\"/></gpx>")
                .json();
        assertEquals(2, report.get("accepted").asInt(), report.toString());
        assertEquals(2, report.get("rejected").size(), report.toString());
        assertEquals(1, requests.read("/api/stays").json().size());
        assertEquals("59.1", requests.read("/api/campsites").json().at("/0/lat").asText());
    }

    @Test
    void a_stay_that_overlaps_another_is_refused_with_which() throws Exception {
        String feature =
                "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"geometry\":null,\"properties\":"
                        + "{\"campsite\":\"%s\",\"arrivedAt\":\"2026-08-0%dT10:00:00+02:00\",\"leftAt\":\"2026-08-0%dT10:00:00+02:00\"}}]}";
        assertEquals(
                1,
                post("/api/export.geojson", feature.formatted("One", 1, 4))
                        .json()
                        .get("accepted")
                        .asInt());
        JsonNode refused =
                post("/api/export.geojson", feature.formatted("Two", 3, 5)).json();
        assertTrue(refused.at("/rejected/0/message").asText().contains("One"), refused.toString());
        assertEquals(1, requests.read("/api/stays").json().size());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "hello",
                "<gpx",
                "<!DOCTYPE gpx [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;\">]><gpx>&b;</gpx>",
                "<html><script>alert(1)</script></html>"
            })
    void what_is_no_gpx_is_refused(String file) throws Exception {
        Requests.Answer answer = post("/api/export.gpx", file);
        assertEquals(400, answer.status(), answer.text());
        assertEquals("gpx", answer.json().at("/errors/0/field").asText());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "[]",
                "{\"type\":\"Point\"}",
                "{\"type\":\"FeatureCollection\"}",
                "{\"type\":\"Feature\",\"properties\":{\"campsite\":\"A\",\"arrivedAt\":\"noon\"}}"
            })
    void what_is_no_geojson_is_refused(String file) throws Exception {
        assertEquals(400, post("/api/export.geojson", file).status());
        assertEquals(0, requests.read("/api/campsites").json().size());
    }

    @Test
    void masts_come_as_csv_with_commas_or_semicolons_and_as_geojson() throws Exception {
        JsonNode first = post(
                        "/api/aim/masts.csv",
                        "name,carrier,cell_id,lat,lon\nHill,Ostrel,77,63.1,21.6\nNowhere,,,91,0\n,,,1,1\n")
                .json();
        assertEquals(1, first.get("accepted").asInt(), first.toString());
        assertEquals(2, first.get("rejected").size());
        JsonNode second = post("/api/aim/masts.csv", "\uFEFFName;Latitude;Longitude\r\nShore;63,2;21,7\r\n")
                .json();
        assertEquals(1, second.get("accepted").asInt(), second.toString());
        String geojson = requests.read("/api/aim/masts.geojson").text();
        JsonNode again = post("/api/aim/masts.geojson", geojson).json();
        assertEquals(2, again.get("duplicates").asInt(), again.toString());
        String csv = requests.read("/api/aim/masts.csv").text();
        assertEquals(
                "name,carrier,cell_id,lat,lon,estimated,long_m,short_m,long_deg",
                csv.lines().findFirst().orElseThrow());
        assertEquals(2, post("/api/aim/masts.csv", csv).json().get("duplicates").asInt());
        assertEquals(400, post("/api/aim/masts.csv", "a,b\n1,2\n").status());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Site,Operator,Latitude (deg),Longitude (deg)\nHill,Ostrel,63.1,21.6\n",
                "Mast;Netz;Breite;Länge\nHill;Ostrel;63,1;21,6\n",
                "Tower\tNetwork\tGPS\nHill\tOstrel\t63.1, 21.6\n",
                "name,carrier,lat,lon\nHill,Ostrel,63°06'N,21°36'E\n",
                "Site name,Operator name,Latitude,Longitude,Tower height\nHill,Ostrel,63.1,21.6,40\n",
                "Mast type,name,carrier,lat,lon\nlattice,Hill,Ostrel,63.1,21.6\n",
                "name,carrier,lat,lon,height\nHill,Ostrel,63.1,21.6\n"
            })
    void masts_are_read_as_others_list_them(String file) throws Exception {
        JsonNode report = post("/api/aim/masts.csv", file).json();
        assertEquals(1, report.get("accepted").asInt(), report.toString());
        String mast = requests.read("/api/aim/masts.csv")
                .text()
                .lines()
                .skip(1)
                .findFirst()
                .orElseThrow();
        assertEquals("Hill,Ostrel,,63.1,21.6,false,,,", mast);
    }

    @Test
    void a_mast_without_a_name_is_called_after_its_cell_and_a_place_that_is_none_is_refused_as_it_stands()
            throws Exception {
        JsonNode report = post("/api/aim/masts.csv", "cell id,lat,lon\n77,63.1,21.6\n78,north,21.6\n")
                .json();
        assertEquals(1, report.get("accepted").asInt(), report.toString());
        assertTrue(report.at("/rejected/0/message").asText().contains("north"), report.toString());
        assertTrue(requests.read("/api/aim/masts.csv").text().contains("\nCell 77,,77,63.1,21.6"));
        byte[] latin = "name,lat,lon\nHögås,63,21\n".getBytes(StandardCharsets.ISO_8859_1);
        Requests.Answer refused = requests.ask(MockMvcRequestBuilders.post("/api/aim/masts.csv")
                .contentType("text/csv")
                .content(latin));
        assertEquals(400, refused.status());
        assertTrue(refused.text().contains("UTF-8"), refused.text());
    }

    @ParameterizedTest
    @ValueSource(strings = {"csv", "geojson"})
    void an_estimated_mast_comes_back_as_one_with_what_holds_it(String format) throws Exception {
        requests.send("/api/demo", List.of());
        String out = requests.read("/api/aim/masts." + format).text();
        String before = longestAxes();
        assertTrue(before.contains("1600"), before);
        requests.ask(MockMvcRequestBuilders.delete("/api/demo"));
        JsonNode report = post("/api/aim/masts." + format, out).json();
        assertEquals(7, report.get("accepted").asInt(), report.toString());
        assertEquals(before, longestAxes());
        assertEquals(out, requests.read("/api/aim/masts." + format).text());
    }

    /** Of all towers, in whatever order they come. */
    private String longestAxes() throws Exception {
        return requests.read("/api/aim").json().get("masts").findValuesAsText("longM").stream()
                .sorted()
                .toList()
                .toString();
    }

    @Test
    void an_ellipse_that_is_none_is_refused_with_its_field() throws Exception {
        String refused = post("/api/aim/masts.csv", "name,lat,lon,estimated,long_m\nHill,63,21,true,-5\n")
                .json()
                .at("/rejected/0/message")
                .asText();
        assertTrue(refused.startsWith("long_m is −5"), refused);
    }
}

package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.store.Emptying;

/** Files of places with names, places and times of every kind: out of one Syntoma and into an empty one they are the same. */
@ApiTest(eachAnew = true)
class PlacesOfAllKindsTest {
    private static final List<String> NAMES = List.of(
            "Amber Spit",
            "Ferry & Slip <four>",
            "\"The quay\"",
            "O’Neill’s yard",
            "]]> gate",
            "=1+2",
            "-dash",
            "@home",
            "Ängö, södra änden",
            "Ёлка над морем",
            "海辺の岬",
            "حديقة المنارة",
            "🏕 Birch 🌲",
            "e\u0301cluse",
            "a;b,c",
            "#7",
            "100 % sure",
            "\\back\\slash\\",
            "null",
            "x".repeat(120));
    private static final List<ZoneOffset> OFFSETS = List.of(
            ZoneOffset.UTC,
            ZoneOffset.ofHoursMinutes(5, 45),
            ZoneOffset.ofHoursMinutes(-9, -30),
            ZoneOffset.ofHours(14));
    private static final List<String> PLACES =
            List.of("90,180", "-90,-180", "0,0", "59.1234567,18.7654321", "-0.5,-0.25");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Emptying emptying;

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

    /** A log of one measurement at each stay, which makes the stays; some of them nowhere, where a file can say so. */
    private static String log(long seed, boolean somewhere) {
        Random random = new Random(seed);
        StringBuilder csv = new StringBuilder("taken_at,campsite,lat,lon,setup,up_mbps,outcome\n");
        OffsetDateTime at = OffsetDateTime.parse("2024-02-28T22:00:00Z");
        for (int i = 0; i < 60; i++) {
            String name = NAMES.get(i < NAMES.size() ? i : random.nextInt(NAMES.size()));
            int place = Math.floorMod(name.hashCode(), PLACES.size() + (somewhere ? 0 : 1));
            at = at.plusHours(80 + random.nextInt(200)).plusSeconds(random.nextInt(3600));
            csv.append(String.format(
                    Locale.ROOT,
                    "%s,\"%s\",%s,Old whip,%.2f,ok%n",
                    at.withOffsetSameInstant(OFFSETS.get(random.nextInt(OFFSETS.size()))),
                    name.replace("\"", "\"\""),
                    place < PLACES.size() ? PLACES.get(place) : ",",
                    1 + random.nextDouble()));
        }
        return csv.toString();
    }

    @ParameterizedTest
    @CsvSource({"/api/export.gpx, 1", "/api/export.gpx, 2", "/api/export.geojson, 1", "/api/export.geojson, 2"})
    void out_and_in_they_are_the_same(String address, long seed) throws Exception {
        JsonNode imported =
                requests.importCsv(log(seed, address.endsWith("gpx"))).json();
        assertEquals(60, imported.get("accepted").asInt(), imported.toString());
        String out = requests.read(address).text();
        TreeSet<String> stays = stays();
        assertEquals(60, stays.size());
        emptying.empty();
        JsonNode report = post(address, out).json();
        assertEquals(60, report.get("accepted").asInt(), report.toString());
        assertEquals(0, report.get("rejected").size(), report.toString());
        String back = requests.read(address).text();
        String[] was = out.split("\n");
        String[] is = back.split("\n");
        for (int i = 0; i < Math.min(was.length, is.length); i++) {
            assertEquals(was[i], is[i], "line " + i);
        }
        assertEquals(was.length, is.length);
        assertEquals(stays, stays());
    }

    /** Each stay as the list has it. */
    private TreeSet<String> stays() throws Exception {
        TreeSet<String> stays = new TreeSet<>();
        for (JsonNode stay : requests.read("/api/stays").json()) {
            stays.add(stay.get("campsite").asText() + " "
                    + stay.get("arrivedAt").asText() + " " + stay.get("leftAt").asText());
        }
        return stays;
    }

    /** An empty log goes out as a file that comes in again. */
    @ParameterizedTest
    @ValueSource(strings = {"/api/export.gpx", "/api/export.geojson"})
    void nothing_goes_out_and_in_as_nothing(String address) throws Exception {
        Requests.Answer back = post(address, requests.read(address).text());
        assertEquals(200, back.status(), back.text());
        assertEquals(0, back.json().get("accepted").asInt());
        assertEquals(0, back.json().get("rejected").size());
    }

    @Test
    void waypoints_of_other_programs_are_read_with_whatever_stands_around_them() throws Exception {
        String gpx = "\ufeff<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<!-- of another hand -->\n"
                + "<g:gpx xmlns:g=\"http://www.topografix.com/GPX/1/1\" xmlns:x=\"urn:x\" version=\"1.1\" creator=\"another\">"
                + "<g:metadata><g:name>A trip</g:name></g:metadata>"
                + "<g:wpt lat=\"59.5\" lon=\"18.5\"><g:ele>3</g:ele><g:name><![CDATA[Cove & <quay>]]></g:name>"
                + "<g:extensions><x:colour>red</x:colour></g:extensions></g:wpt>"
                + "<g:rte><g:rtept lat=\"1\" lon=\"2\"/></g:rte>"
                + "<g:trk><g:trkseg><g:trkpt lat=\"1\" lon=\"2\"><g:time>2026-08-01T10:00:00Z</g:time></g:trkpt></g:trkseg></g:trk>"
                + "</g:gpx>";
        Requests.Answer answer = post("/api/export.gpx", gpx);
        assertEquals(200, answer.status(), answer.text());
        JsonNode report = answer.json();
        assertEquals(1, report.get("accepted").asInt(), report.toString());
        assertEquals(0, report.get("rejected").size(), report.toString());
        assertEquals(
                "Cove & <quay>",
                requests.read("/api/campsites").json().at("/0/name").asText());
    }

    @Test
    void features_of_other_programs_are_read_or_refused_one_by_one() throws Exception {
        String geo = "{\"type\":\"FeatureCollection\",\"name\":\"mine\",\"bbox\":[1,2,3,4],\"features\":["
                + "{\"type\":\"Feature\",\"id\":7,\"geometry\":{\"type\":\"Point\",\"coordinates\":[18.5,59.5,12]},\"properties\":{\"name\":\"Cove\",\"colour\":\"red\"}},"
                + "{\"type\":\"Feature\",\"geometry\":{\"type\":\"Polygon\",\"coordinates\":[[[0,0],[1,0],[1,1],[0,0]]]},\"properties\":{\"name\":\"A wood\"}},"
                + "{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[500,59.5]},\"properties\":{\"name\":\"Off the globe\"}},"
                + "{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[18]},\"properties\":{\"name\":\"Half a place\"}},"
                + "{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\",\"coordinates\":[18,59]},\"properties\":null}]}";
        Requests.Answer answer = post("/api/export.geojson", geo);
        assertEquals(200, answer.status(), answer.text());
        assertEquals(1, answer.json().get("accepted").asInt(), answer.text());
        assertEquals(4, answer.json().get("rejected").size(), answer.text());
        for (JsonNode refused : answer.json().get("rejected")) {
            assertTrue(refused.get("message").asText().length() > 10, refused.toString());
        }
    }
}

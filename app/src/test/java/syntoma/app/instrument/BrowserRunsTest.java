package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Collections;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.Link;
import syntoma.standin.speed.SpeedServer;

/** Runs that a browser makes: what it is given, and what is taken of what it brings. */
@ApiTest
class BrowserRunsTest {
    private static final String RUN =
            "{\"setup\":\"Roof dome\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"kind\":\"%s\"}";
    private static final String ANSWERS =
            String.join(",", Collections.nCopies(10, "{\"atMs\":100,\"ms\":40},{\"atMs\":200,\"ms\":50}"));

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        json(
                put("/api/measure/server"),
                "{\"address\":\"http://192.0.2.1:8790\",\"key\":\"open-sesame\",\"publicAllowed\":true}");
    }

    private Requests.Answer json(MockHttpServletRequestBuilder call, String body) throws Exception {
        return requests.ask(call.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private Requests.Answer begin(String kind, String more) throws Exception {
        return json(post("/api/runs/by-browser"), "{\"run\":" + RUN.formatted(kind) + more + "}");
    }

    private long begun(String kind, String more) throws Exception {
        Requests.Answer begun = begin(kind, more);
        assertEquals(201, begun.status(), begun.text());
        return begun.json().get("id").asLong();
    }

    private static String way(double mbps, int samples, long bytes) {
        return "{\"fromMs\":2100,\"bytes\":" + bytes + ",\"mbps\":" + Collections.nCopies(samples, mbps)
                + ",\"asked\":[{\"atMs\":2500,\"ms\":90}]}";
    }

    private static String brought(String ended, String down, String up) {
        return "{\"ended\":\"" + ended + "\",\"laterMs\":61500,\"seconds\":10,\"idle\":[" + ANSWERS + "],\"down\":"
                + down + ",\"up\":" + up + "}";
    }

    private JsonNode bring(long id, String body) throws Exception {
        Requests.Answer answer = json(post("/api/runs/" + id + "/brought"), body);
        assertEquals(200, answer.status(), answer.text());
        return answer.json();
    }

    @Test
    void what_is_brought_is_calculated_and_logged_once() throws Exception {
        long id = begun("light", ",\"ownSim\":true");
        JsonNode waits = requests.read("/api/runs/" + id).json();
        assertEquals("waiting", waits.get("state").asText());
        assertTrue(waits.get("inBrowser").asBoolean() && waits.get("ownSim").asBoolean(), waits.toString());
        String body = brought("done", way(12, 15, 5_600_000), way(3, 15, 1_400_000));
        JsonNode run = bring(id, body);
        assertEquals("done", run.get("state").asText());
        assertEquals(12, run.get("downMbps").asDouble());
        assertEquals(3, run.get("upMbps").asDouble());
        assertEquals(45, run.get("idleMs").asDouble());
        assertEquals(90, run.get("upLoadedMs").asDouble());
        assertEquals(7_000_000, run.get("bytesUsed").asLong());
        assertEquals(
                java.time.OffsetDateTime.parse(waits.get("startedAt").asText()).plusSeconds(61),
                java.time.OffsetDateTime.parse(run.get("startedAt").asText()));
        long measurement = run.get("measurementId").asLong();
        String logged = requests.read("/api/measurements/" + measurement).text();
        assertTrue(logged.contains("light run by a browser on its own SIM, 7 MB"), logged);
        JsonNode again = bring(id, body);
        assertEquals(measurement, again.get("measurementId").asLong(), "the second time nothing is logged");
        assertEquals(run, again);
    }

    @Test
    void its_own_leg_is_named_where_it_limits() throws Exception {
        String leg = ",\"leg\":{\"downBytes\":2000000,\"downMs\":1000,\"upBytes\":2000000,\"upMs\":1000}";
        JsonNode near = bring(begun("light", leg), brought("done", way(15, 15, 1), way(3, 15, 1)));
        assertTrue(near.get("sentence").asText().contains("carries about 16 Mb/s down itself"), near.toString());
        JsonNode own = bring(begun("light", leg + ",\"ownSim\":true"), brought("done", way(15, 15, 1), way(3, 15, 1)));
        assertFalse(own.get("sentence").asText().contains("itself"), "on its own SIM the Wi-Fi is not in the way");
    }

    @ParameterizedTest
    @CsvSource({
        "hidden, failed, page was closed",
        "stalled, failed, nothing came through",
        "refused, failed, refused it",
        "lost, failed, became unreachable",
        "spent, done, data limit"
    })
    void what_broke_off_says_why_and_counts_its_bytes(String ended, String state, String says) throws Exception {
        JsonNode run = bring(begun("full", ""), brought(ended, way(12, 20, 7_500_000), "null"));
        assertEquals(state, run.get("state").asText());
        assertTrue(run.get("endedBecause").asText().contains(says), run.toString());
        assertEquals(7_500_000, run.get("bytesUsed").asLong());
    }

    @Test
    void what_is_over_too_soon_has_failed_and_is_no_rate_of_nought() throws Exception {
        JsonNode run = bring(begun("full", ""), brought("done", way(0, 3, 0), "null"));
        assertEquals("failed", run.get("state").asText());
        assertTrue(run.get("downMbps").isNull(), run.toString());
    }

    @Test
    void one_that_was_called_off_counts_its_bytes_and_is_not_logged() throws Exception {
        long id = begun("light", "");
        assertEquals(
                "cancelled",
                requests.ask(delete("/api/runs/" + id)).json().get("state").asText());
        JsonNode run = bring(id, brought("done", way(12, 15, 5_600_000), "null"));
        assertEquals("cancelled", run.get("state").asText());
        assertEquals(5_600_000, run.get("bytesUsed").asLong());
        assertTrue(run.get("measurementId").isNull());
        assertTrue(requests.read("/api/runs/" + id + "/plan").json().get("plan").isNull());
    }

    @Test
    void what_runs_take_is_counted_against_the_plan() throws Exception {
        String carrier = "Counted";
        String run = RUN.formatted("light").replace("Tarnwave", carrier);
        long id = json(post("/api/runs/by-browser"), "{\"run\":" + run + "}")
                .json()
                .get("id")
                .asLong();
        bring(id, brought("lost", way(12, 15, 250_000_000), "null").replace("61500", "0"));
        JsonNode before = requests.read("/api/measure/plan?carrier=" + carrier).json();
        assertEquals(0.25, before.get("usedGb").asDouble());
        assertTrue(before.get("allowanceGb").isNull(), before.toString());
        requests.send(
                "/api/gear",
                Map.of(
                        "kind", "SIM",
                        "name", "Counted card",
                        "state", "owned",
                        "sheet", Map.of("carrier", carrier, "allowanceGb", 40)));
        String said = requests.read("/api/measure/plan?carrier=" + carrier)
                .json()
                .get("sentence")
                .asText();
        assertTrue(said.startsWith("Runs have taken 0.25 of the 40 GB on Counted since 1 "), said);
    }

    @Test
    void a_start_leaves_alone_what_waits_for_a_browser(@Autowired Runs runs) throws Exception {
        long id = begun("light", "");
        runs.endBroken();
        assertEquals(
                "waiting", requests.read("/api/runs/" + id).json().get("state").asText());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ended|{\"ended\":\"well\",\"laterMs\":0,\"seconds\":1}",
                "laterMs|{\"ended\":\"done\",\"laterMs\":-1,\"seconds\":1}",
                "seconds|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":4000}",
                "down.mbps|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"down\":{\"fromMs\":0,\"bytes\":1,\"mbps\":[-3]}}",
                "down.mbps|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"down\":{\"fromMs\":0,\"bytes\":1,\"mbps\":[null]}}",
                "up.bytes|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"up\":{\"fromMs\":0,\"bytes\":-1}}",
                "idle|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"idle\":[null]}",
                "idle.ms|{\"ended\":\"done\",\"laterMs\":0,\"seconds\":1,\"idle\":[{\"atMs\":1,\"ms\":1e9}]}"
            })
    void what_cannot_be_is_refused_by_its_field(String field, String body) throws Exception {
        long id = begun("light", "");
        Requests.Answer refused = json(post("/api/runs/" + id + "/brought"), body);
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText());
        assertEquals(
                "waiting", requests.read("/api/runs/" + id).json().get("state").asText());
    }

    @Test
    void a_server_of_this_machine_alone_is_no_use_to_another_device() throws Exception {
        json(put("/api/measure/server"), "{\"address\":\"http://127.0.0.1:8790\",\"key\":\"\"}");
        MockHttpServletRequestBuilder call = post("/api/runs/by-browser")
                .secure(true)
                .with(request -> {
                    request.setRemoteAddr("192.168.1.30");
                    return request;
                });
        Requests.Answer refused = json(call, "{\"run\":" + RUN.formatted("light") + "}");
        assertEquals(409, refused.status(), refused.text());
        assertTrue(refused.text().contains("only Syntoma’s own machine reaches"), refused.text());
    }

    @Test
    void the_leg_gives_and_takes_bytes() throws Exception {
        assertEquals(
                5_000,
                mvc.perform(get("/api/leg?bytes=5000"))
                        .andReturn()
                        .getResponse()
                        .getContentAsByteArray()
                        .length);
        assertEquals(400, requests.read("/api/leg?bytes=90000000").status());
        Requests.Answer took = requests.ask(
                post("/api/leg").contentType(MediaType.APPLICATION_OCTET_STREAM).content(new byte[7_000]));
        assertEquals(7_000, took.json().get("bytes").asInt());
    }

    @Test
    void the_ticket_lets_this_run_in_and_tells_no_key() throws Exception {
        try (SpeedServer server = SpeedServer.start("127.0.0.1", 0, "open-sesame", Limits.USUAL, Link.REAL)) {
            json(
                    put("/api/measure/server"),
                    "{\"address\":\"http://127.0.0.1:" + server.port() + "\",\"key\":\"open-sesame\"}");
            JsonNode plan = requests.read("/api/runs/" + begun("full", "") + "/plan")
                    .json()
                    .get("plan");
            assertFalse(plan.toString().contains("sesame"), plan.toString());
            String address = "http://127.0.0.1:" + server.port();
            assertEquals(address + "/measure", plan.get("page").asText());
            assertEquals(200, status(address + "/measure"), "the page needs no ticket");
            String run = "?run=" + plan.get("run").asText() + "&ticket=";
            assertEquals(
                    204, status(address + "/ping" + run + plan.get("ticket").asText()));
            assertEquals(401, status(address + "/ping" + run + "1790000000.x"));
            assertEquals(
                    401,
                    status(address + "/ping?run=another-run&ticket="
                            + plan.get("ticket").asText()));
        }
    }

    private static int status(String address) throws Exception {
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }
}

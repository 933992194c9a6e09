package syntoma.app.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.app.instrument.MadeUpRouter;
import syntoma.standin.speed.Limits;
import syntoma.standin.speed.Link;
import syntoma.standin.speed.SpeedServer;

/** What goes wrong in the middle of a trial has a clear outcome, and the trial goes on. */
@ApiTest
class TrialInTroubleTest {
    private static final String ON = "{\"net\":\"%s\",\"lte\":{\"band\":\"B20\",\"rsrp\":-98}}";

    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private SpeedServer server;
    private MadeUpRouter router;

    private record Fixed(double downMbps, double upMbps, double idleMs, double bufferMs) implements Link {}

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        server = SpeedServer.start("127.0.0.1", 0, "", Limits.USUAL, new Fixed(24, 8, 30, 120));
        router = new MadeUpRouter(request -> MadeUpRouter.json(ON.formatted("Tarnwave")));
        json(put("/api/measure/server"), "{\"address\":\"http://127.0.0.1:" + server.port() + "\",\"key\":\"\"}");
        json(
                put("/api/measure/router"),
                "{\"kind\":\"http-json\",\"address\":\"http://127.0.0.1:" + router.port()
                        + "\",\"path\":\"/status\",\"mapping\":{\"carrier\":\"/net\",\"primary.band\":\"/lte/band\","
                        + "\"primary.rsrpDbm\":\"/lte/rsrp\"}}");
        requests.importCsv("taken_at,campsite,setup,carrier,up_mbps,outcome\n"
                + "2026-08-01T08:00:00+03:00,Amber Spit,Dome,Tarnwave,4,ok\n"
                + "2026-08-01T08:10:00+03:00,Amber Spit,Mast,Tarnwave,4,ok\n");
    }

    @AfterEach
    void close() throws Exception {
        server.close();
        router.close();
    }

    private Requests.Answer json(MockHttpServletRequestBuilder call, String body) throws Exception {
        return requests.ask(call.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private void plan(String trial) throws Exception {
        Requests.Answer kept = json(
                post("/api/trials/designed"),
                "{\"campsite\":\"Amber Spit\",\"name\":\"" + trial
                        + "\",\"design\":{\"difference\":3,\"seed\":3,\"contenders\":[{\"setup\":\"Dome\",\"carrier\":"
                        + "\"Tarnwave\"},{\"setup\":\"Mast\",\"carrier\":\"Tarnwave\"}]}}");
        assertEquals(201, kept.status(), kept.text());
    }

    private JsonNode sheet(String trial) throws Exception {
        return requests.read("/api/trials/sheet?campsite=Amber Spit&trial=" + trial)
                .json();
    }

    private JsonNode check(String trial) throws Exception {
        return requests.read("/api/trials/sheet/check?campsite=Amber Spit&trial=" + trial)
                .json();
    }

    /** Begins the run that the sheet wants next. */
    private Requests.Answer begin(String trial) throws Exception {
        JsonNode sheet = sheet(trial);
        JsonNode visit = sheet.get("visits").get(sheet.get("next").asInt());
        String setup = sheet.get("contenders")
                .get(visit.get("contender").asInt())
                .at("/setup/name")
                .asText();
        return json(
                post("/api/runs"),
                "{\"campsite\":\"Amber Spit\",\"trial\":\"" + trial + "\",\"kind\":\"light\",\"carrier\":\"Tarnwave\","
                        + "\"setup\":\"" + setup + "\",\"round\":" + visit.get("round") + "}");
    }

    private JsonNode run(Requests.Answer begun) throws Exception {
        assertEquals(201, begun.status(), begun.text());
        return requests.read("/api/runs/" + begun.json().get("id").asLong()).json();
    }

    private String mark(String trial) throws Exception {
        return requests.read("/api/trials/sheet/mark?campsite=Amber Spit&trial=" + trial)
                .text();
    }

    private JsonNode over(Requests.Answer begun) throws Exception {
        for (JsonNode run = run(begun); ; run = run(begun)) {
            if (!run.get("sentence").isNull()) {
                return run;
            }
            Thread.sleep(100);
        }
    }

    private int made(String trial) throws Exception {
        int made = 0;
        for (JsonNode visit : sheet(trial).get("made")) {
            made += visit.asInt();
        }
        return made;
    }

    private void heard(String trial, boolean wanted) throws Exception {
        for (int i = 0; i < 150 && check(trial).get("heard").asBoolean() != wanted; i++) {
            Thread.sleep(100);
        }
        assertEquals(wanted, check(trial).get("heard").asBoolean());
    }

    @Test
    void another_network_is_asked_about_before_it_is_measured_and_after() throws Exception {
        plan("Swapped");
        heard("Swapped", true);
        assertEquals("[]", check("Swapped").get("says").toString());
        Requests.Answer begun = begin("Swapped");
        router.answer(request -> MadeUpRouter.json(ON.formatted("Ostrel")));
        assertEquals("done", over(begun).get("state").asText());
        JsonNode doubt = sheet("Swapped").at("/doubts/0");
        assertEquals(
                "The device was on Ostrel while it was measured; it was to be on Tarnwave.",
                doubt.at("/says/0").asText(),
                doubt.toString());
        assertTrue(
                check("Swapped").at("/says/0").asText().startsWith("The device is on Ostrel"),
                check("Swapped").toString());
        assertEquals(1, made("Swapped"), "it is kept until it is said that it is to go");
    }

    @Test
    void garbage_from_the_router_is_no_reading_and_hinders_no_run() throws Exception {
        plan("Garbage");
        router.answer(request -> "\u0000\u0001 %$ no protocol at all\r\n\r\n");
        heard("Garbage", false);
        assertEquals("[]", check("Garbage").get("says").toString(), "what was not read is not in doubt");
        JsonNode run = over(begin("Garbage"));
        assertEquals("done", run.get("state").asText(), run.toString());
        String stored = requests.read(
                        "/api/measurements/" + run.get("measurementId").asLong())
                .text();
        assertFalse(stored.contains("rsrpDbm\":\"-98"), stored);
        assertEquals(1, made("Garbage"));
        assertEquals("[]", sheet("Garbage").get("doubts").toString());
    }

    @Test
    void without_the_speed_server_a_run_has_failed_once_and_the_trial_goes_on_when_it_is_back() throws Exception {
        plan("Pulled");
        Requests.Answer begun = begin("Pulled");
        while (run(begun).get("bytesUsed").asLong() < 500_000) {
            Thread.sleep(50);
        }
        int port = server.port();
        server.close();
        JsonNode failed = over(begun);
        assertEquals("failed", failed.get("state").asText(), failed.toString());
        assertTrue(failed.get("endedBecause").asText().length() > 10, failed.toString());
        assertEquals(1, made("Pulled"), "a run that failed is made, and made once");
        server = SpeedServer.start("127.0.0.1", port, "", Limits.USUAL, new Fixed(24, 8, 30, 120));
        String before = mark("Pulled");
        Requests.Answer one = begin("Pulled");
        assertNotEquals(before, mark("Pulled"), "the other device hears of it at once");
        assertEquals(409, begin("Pulled").status(), "what two devices begin is one run");
        assertEquals("done", over(one).get("state").asText());
        assertEquals(2, made("Pulled"));
    }
}

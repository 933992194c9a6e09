package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Where the curves of runs show that a plan held them, a verdict says so. */
@ApiTest
class CappedTest {
    private static final OffsetDateTime START = OffsetDateTime.parse("2026-08-14T10:00:00+03:00");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private RunBook book;

    @Autowired
    private EntityManager entities;

    @Autowired
    private PlatformTransactionManager manager;

    /** Logs a run of a round, with a curve that was flat or not. */
    private void run(String setup, int round, double mbps, boolean flat) throws Exception {
        Requests requests = new Requests(mvc);
        OffsetDateTime at = START.plusMinutes(20L * round + (setup.equals("Dome") ? 0 : 5));
        Requests.Answer stored = requests.send(
                "/api/measurements",
                Map.of(
                        "takenAt",
                        at.toString(),
                        "campsite",
                        "Quarry Lake",
                        "setup",
                        setup,
                        "carrier",
                        "Brissa",
                        "outcome",
                        "ok",
                        "downMbps",
                        Double.toString(mbps),
                        "trial",
                        "Held",
                        "round",
                        Integer.toString(round)));
        assertEquals(201, stored.status(), stored.text());
        long id = book.begin(
                new RunRequest(setup, "Brissa", "Quarry Lake", "Held", round, "full", null, true),
                "http://192.0.2.1",
                at);
        new TransactionTemplate(manager).executeWithoutResult(status -> {
            SpeedRun run = entities.find(SpeedRun.class, id);
            run.state = RunState.DONE.label();
            run.flatDown = flat;
            run.measurementId = stored.json().get("id").asLong();
        });
    }

    private JsonNode compared() throws Exception {
        return new Requests(mvc)
                .read(
                        "/api/compare?baseline=Dome&candidate=Panel&metric=down&campsite={place}&trial=Held",
                        "Quarry Lake")
                .json();
    }

    @Test
    void runs_that_a_plan_held_cannot_rank_setups() throws Exception {
        for (int round = 1; round <= 4; round++) {
            run("Dome", round, 23.9 + 0.05 * round, true);
            run("Panel", round, 24.1 - 0.02 * round, round < 4);
        }
        JsonNode verdict = compared();
        assertEquals("capped", verdict.get("verdict").asText(), verdict.toString());
        assertTrue(verdict.get("sentence").asText().contains("24 Mb/s"), verdict.toString());
        assertTrue(verdict.get("estimate").isNumber(), "the numbers stay");
        for (int round = 5; round <= 8; round++) {
            run("Panel", round, 40 + 3 * round, false);
            run("Dome", round, 24, true);
        }
        assertTrue(!compared().get("verdict").asText().equals("capped"), "Panel is held in three of eight");
    }
}

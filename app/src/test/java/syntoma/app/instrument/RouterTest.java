package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
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

/** A router is set, tried, watched; and what is no router is said in words. */
@ApiTest
class RouterTest {
    private static final String ANSWER =
            "{\"net\":{\"operator\":\"Tarnwave\",\"mode\":\"LTE\"},\"lte\":{\"band\":\"B20\",\"earfcn\":6300,\"rsrp\":-97,"
                    + "\"rsrq\":-11,\"sinr\":12}}";

    private record Fixed(double downMbps, double upMbps, double idleMs, double bufferMs) implements Link {}

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Watch watch;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer json(MockHttpServletRequestBuilder call, String body) throws Exception {
        return requests.ask(call.contentType(MediaType.APPLICATION_JSON).content(body));
    }

    private Requests.Answer use(MadeUpRouter router, String more) throws Exception {
        Requests.Answer set = json(
                put("/api/measure/router"),
                "{\"kind\":\"http-json\",\"address\":\"http://127.0.0.1:" + router.port() + "\"" + more + "}");
        assertEquals(200, set.status(), set.text());
        return set;
    }

    private JsonNode probe() throws Exception {
        return requests.ask(post("/api/measure/router/probe")).json();
    }

    private LiveReading live(Predicate<LiveReading> wanted) throws InterruptedException {
        LiveReading seen = watch.look();
        for (int i = 0; i < 130 && !wanted.test(seen); i++) {
            Thread.sleep(100);
            seen = watch.look();
        }
        assertTrue(wanted.test(seen), seen.toString());
        return seen;
    }

    @Test
    void what_is_proposed_is_set_as_it_is_and_secrets_never_come_back() throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER))) {
            Requests.Answer set = use(
                    router,
                    ",\"path\":\"/api/signal?all=1\",\"user\":\"admin\",\"password\":\"s3same\",\"mapping\":{}");
            assertTrue(set.json().get("hasSecret").asBoolean());
            JsonNode probed = probe();
            assertTrue(probed.get("reached").asBoolean(), probed.toString());
            assertTrue(probed.get("problem").isNull(), probed.toString());
            assertEquals("/lte/rsrp", probed.at("/proposed/primary.rsrpDbm").asText());
            assertEquals(-97, probed.at("/reading/cells/0/rsrpDbm").asDouble());
            assertTrue(router.requests().contains("GET /api/signal?all=1 HTTP/1.1"), router.requests());
            assertTrue(router.requests().contains("Authorization: Basic YWRtaW46czNzYW1l"), router.requests());
            use(router, ",\"mapping\":" + probed.get("proposed"));
            JsonNode view = requests.read("/api/measure/router").json();
            assertEquals("/lte/rsrp", view.at("/mapping/primary.rsrpDbm").asText());
            assertTrue(view.get("hasSecret").asBoolean(), "left out, it is kept");
            use(router, ",\"password\":\"\",\"token\":\"t0ken\"");
            probe();
            assertTrue(router.requests().contains("Authorization: Bearer t0ken"), router.requests());
            String all =
                    view + set.text() + requests.read("/api/measurements.csv").text();
            assertFalse(all.contains("s3same") || all.contains("t0ken"), all);
            use(router, ",\"token\":\"\"");
            assertFalse(
                    requests.read("/api/measure/router").json().get("hasSecret").asBoolean());
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "HTTP/1.1 401 Unauthorized~Content-Length: 0~~ | refused the log-in",
                "HTTP/1.1 500 Oh~Content-Length: 0~~ | status 500",
                "HTTP/1.1 302 Found~Location: http://192.0.2.9/x~Content-Length: 0~~ | not followed",
                "HTTP/1.1 302 Found~Location: file:///etc/passwd~Content-Length: 0~~ | not followed",
                "HTTP/1.1 302 Found~Location: /~Content-Length: 0~~ | from one address to the next",
                "HTTP/1.1 200 OK~Content-Length: 5~~{\"a\": | is no JSON, or half of one",
                "HTTP/1.1 200 OK~Content-Length: 13~~<p>Router</p> | is no JSON",
                "HTTP/1.1 200 OK~Content-Length: 7~~\"hello\" | no JSON object",
                "HTTP/1.1 200 OK~Content-Length: 8~~{\"up\":1} | nothing in the answer looks like a reading",
                "what is this~~ | broke"
            })
    void what_is_no_router_is_said_in_words(String answer, String said) throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> answer.replace("~", "\r\n"))) {
            use(router, ",\"path\":\"\",\"mapping\":{}");
            String problem = probe().get("problem").asText();
            assertTrue(problem.contains(said), problem);
            assertFalse(problem.contains("<p>"), problem);
        }
    }

    @Test
    void ten_megabytes_are_not_waited_for() throws Exception {
        String large = MadeUpRouter.json("{\"a\":\"" + "x".repeat(10_000_000) + "\"}");
        try (MadeUpRouter router = new MadeUpRouter(request -> large)) {
            use(router, ",\"mapping\":{}");
            assertTrue(probe().get("problem").asText().contains("more than 256 kB"));
        }
    }

    @Test
    void a_router_is_watched_goes_comes_back_and_has_one_connection_at_a_time() throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER))) {
            use(router, ",\"mapping\":{}");
            LiveReading first = live(r -> !r.cells().isEmpty());
            assertEquals("LTE", first.mode());
            assertEquals("Tarnwave", first.carrier());
            assertEquals("B20", first.cells().get(0).band());
            assertTrue(first.ageMs() < 3_000 && first.problem() == null, first.toString());
            router.answer(request -> null);
            LiveReading silent = live(r -> r.problem() != null);
            assertTrue(silent.problem().contains("did not answer within 3 s"), silent.problem());
            assertTrue(silent.ageMs() > 2_500 && !silent.cells().isEmpty(), silent.toString());
            LiveReading gone = live(r -> r.cells().isEmpty());
            assertTrue(gone.ageMs() >= 10_000, gone.toString());
            assertTrue(gone.mode() == null, gone.toString());
            router.answer(request -> MadeUpRouter.json(ANSWER.replace("-97", "-20")));
            LiveReading back = live(r -> !r.cells().isEmpty() && r.ageMs() < 2_000);
            assertTrue(back.problem().contains("RSRP is −20 dBm"), back.problem());
            assertEquals(null, back.cells().get(0).rsrpDbm());
            assertEquals(1, router.mostOpen());
        }
    }

    @Test
    void a_modem_is_asked_the_standard_commands() throws Exception {
        try (MadeUpRouter modem = new MadeUpRouter(request -> switch (request.strip()) {
            case "AT+COPS?" -> "\r\nRING\r\n+COPS: 0,0,\"Tarnwave\",7\r\n\r\nOK\r\n";
            case "AT+CEREG?" -> "+CEREG: 2,1,\"1A2B\",\"01A2B3C4\",7\r\nOK\r\n";
            case "AT+C5GREG=2", "AT+C5GREG?" -> "+CME ERROR: 3\r\n";
            case "AT+CSQ" -> "+CSQ: 18,99\r\nOK\r\n";
            case "AT+CESQ" -> "+CESQ: 99,99,255,255,17,44\r\nOK\r\n";
            default -> request.strip() + "\r\nOK\r\n";
        })) {
            json(put("/api/measure/router"), "{\"kind\":\"at-tcp\",\"address\":\"127.0.0.1:" + modem.port() + "\"}");
            JsonNode probed = probe();
            assertEquals(-97, probed.at("/reading/cells/0/rsrpDbm").asDouble(), probed.toString());
            assertEquals("27440068", probed.at("/reading/cells/0/cellId").asText());
            assertEquals("LTE", probed.at("/reading/mode").asText());
            modem.answer(request -> "ERROR\r\n");
            assertTrue(probe().get("problem").asText().contains("none of the standard commands"));
            modem.answer(request -> "x".repeat(5_000));
            assertTrue(probe().get("problem").asText().contains("no modem"));
        }
    }

    @Test
    void a_run_is_logged_with_the_reading_beside_it() throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER));
                SpeedServer server = SpeedServer.start("127.0.0.1", 0, "", Limits.USUAL, new Fixed(40, 20, 10, 20))) {
            use(router, ",\"mapping\":{}");
            json(put("/api/measure/server"), "{\"address\":\"http://127.0.0.1:" + server.port() + "\"}");
            long id = json(
                            post("/api/runs"),
                            "{\"setup\":\"Whips\",\"carrier\":\"Tarnwave\",\"campsite\":\"Amber Spit\",\"kind\":\"light\"}")
                    .json()
                    .get("id")
                    .asLong();
            JsonNode run = requests.read("/api/runs/" + id).json();
            for (int i = 0; i < 200 && run.get("sentence").isNull(); i++) {
                Thread.sleep(100);
                run = requests.read("/api/runs/" + id).json();
            }
            String stored = requests.read(
                            "/api/measurements/" + run.get("measurementId").asLong())
                    .text();
            assertTrue(stored.contains("\"-97\"") && stored.contains("B20") && stored.contains("6300"), stored);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "kind | {\"kind\":\"serial\",\"address\":\"http://192.0.2.1\"}",
                "address | {\"kind\":\"http-json\",\"address\":\"192.0.2.1:80\"}",
                "address | {\"kind\":\"at-tcp\",\"address\":\"http://192.0.2.1:80\"}",
                "address | {\"kind\":\"at-tcp\",\"address\":\"192.0.2.1\"}",
                "address | {\"kind\":\"at-tcp\",\"address\":\"a@192.0.2.1:80\"}",
                "path | {\"kind\":\"http-json\",\"address\":\"http://192.0.2.1\",\"path\":\"@other/x\"}",
                "path | {\"kind\":\"http-json\",\"address\":\"http://192.0.2.1\",\"path\":\"signal\"}",
                "mapping | {\"kind\":\"http-json\",\"address\":\"http://192.0.2.1\",\"mapping\":{\"colour\":\"/a\"}}",
                "mapping | {\"kind\":\"http-json\",\"address\":\"http://192.0.2.1\",\"mapping\":{\"mode\":\"a\"}}"
            })
    void a_router_that_is_set_wrongly_is_refused_by_its_field(String field, String body) throws Exception {
        Requests.Answer refused = json(put("/api/measure/router"), body);
        assertEquals(400, refused.status(), refused.text());
        assertEquals(field, refused.json().at("/errors/0/field").asText());
    }

    /** How many threads may come of what else is in this machine; a thread for each look would be thousands. */
    private static final int OTHERS = 10;

    /** An hour in a few seconds: each answer makes it a second later, half of one as late as the watch waits after it. */
    @Test
    void an_hour_of_watching_takes_no_more_threads_and_keeps_five_minutes(
            @Autowired Routers routers, @Autowired LiveCount count, @Autowired Clock clock) throws Exception {
        long beganNs = System.nanoTime();
        long movedBefore = count.withinBytes();
        AtomicLong nowNs = new AtomicLong(beganNs);
        AtomicInteger answered = new AtomicInteger();
        try (MadeUpRouter router = new MadeUpRouter(request -> {
            boolean half = answered.incrementAndGet() % 7 == 0;
            nowNs.addAndGet((half ? 10 : 1) * 1_000_000_000L);
            return MadeUpRouter.json(half ? "{" : ANSWER);
        })) {
            use(router, ",\"path\":\"/\",\"mapping\":{\"primary.rsrpDbm\":\"/lte/rsrp\"}");
            Watch hour = new Watch(routers, count, clock, nowNs::get);
            try {
                watch(hour, () -> nowNs.get() - beganNs > 360_000_000_000L);
                int threads = Thread.activeCount();
                watch(hour, () -> nowNs.get() - beganNs > 3_600_000_000_000L);
                assertTrue(
                        Thread.activeCount() <= threads + OTHERS, Thread.activeCount() + " threads after " + threads);
                int kept = hour.recent().readings().size();
                assertTrue(kept > 60 && kept <= 301, kept + " readings are kept");
                // the answers themselves, and their headers and those of the questions, which are some hundred bytes
                long moved = (count.withinBytes() - movedBefore) / answered.get();
                assertTrue(moved > ANSWER.length() * 6L / 7 && moved < ANSWER.length() + 600, moved + " bytes each");
            } finally {
                hour.stop();
            }
        }
    }

    private static void watch(Watch watch, BooleanSupplier until) throws InterruptedException {
        for (int waited = 0; !until.getAsBoolean(); waited++) {
            assertTrue(waited < 20_000, "it goes on too slowly");
            watch.look();
            Thread.sleep(1);
        }
    }
}

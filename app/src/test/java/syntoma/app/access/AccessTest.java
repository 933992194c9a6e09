package syntoma.app.access;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import syntoma.app.ApiTest;
import syntoma.app.ForkFiles;

/** Who may in: the phrase, sessions, pairing, guests, and what is refused to all others. */
@ApiTest
class AccessTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String PHRASE = "rusty gate by the quarry";
    private static final String PHONE = "192.168.8.21";
    private static final String NEIGHBOUR = "192.168.8.66";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Certificates certificates;

    @MockitoBean
    private WallClock clock;

    private Instant now = Instant.parse("2026-11-26T18:00:00Z");

    @Autowired
    private Network network;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Throttle throttle;

    @BeforeEach
    void open() {
        when(clock.now()).thenAnswer(asked -> now);
        network.serveNobodyElse();
        sessions.end(all -> true);
        throttle.forgetAll();
        clean();
    }

    @AfterAll
    static void leaveNothing() {
        clean();
    }

    private static void clean() {
        try (Stream<Path> files = Files.list(ForkFiles.files().access())) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        } catch (java.io.IOException none) {
            // nothing is left from before
        }
    }

    private MockHttpServletResponse ask(MockHttpServletRequestBuilder request, String from, Cookie... session)
            throws Exception {
        boolean here = from.startsWith("127.");
        request.with(r -> {
            r.setRemoteAddr(from);
            r.setSecure(!here);
            r.setScheme(here ? "http" : "https");
            return r;
        });
        if (session.length > 0) {
            request.cookie(session);
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    private static MockHttpServletRequestBuilder with(MockHttpServletRequestBuilder request, Object body)
            throws Exception {
        return request.contentType(MediaType.APPLICATION_JSON).content(JSON.writeValueAsString(body));
    }

    private Cookie serve() throws Exception {
        clean();
        assertEquals(
                204,
                ask(with(put("/api/phrase"), Map.of("phrase", PHRASE)), "127.0.0.1")
                        .getStatus());
        MockHttpServletResponse served = ask(with(put("/api/network"), Map.of("served", true)), "127.0.0.1");
        assertEquals(200, served.getStatus(), served.getContentAsString());
        return cookie(served);
    }

    private static Cookie cookie(MockHttpServletResponse answer) {
        Cookie[] cookies = answer.getCookies();
        assertEquals(1, cookies.length);
        return new Cookie(cookies[0].getName(), cookies[0].getValue());
    }

    private MockHttpServletResponse logIn(Map<String, String> by, String from) throws Exception {
        return ask(with(post("/api/session"), by), from);
    }

    private JsonNode json(MockHttpServletResponse answer) throws Exception {
        return JSON.readTree(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    @Test
    void without_the_network_this_machine_needs_no_log_in() throws Exception {
        assertEquals(200, ask(get("/api/standing"), "127.0.0.1").getStatus());
        JsonNode session = json(ask(get("/api/session"), "127.0.0.1"));
        assertFalse(session.get("needed").asBoolean());
        assertTrue(session.get("ok").asBoolean());
        assertEquals(
                409,
                ask(with(put("/api/network"), Map.of("served", true)), "127.0.0.1")
                        .getStatus());
        assertEquals(409, ask(post("/api/pairing"), "127.0.0.1").getStatus());
    }

    @Test
    void every_operation_is_refused_without_a_session_and_the_desk_goes_on_with_its_own() throws Exception {
        Cookie desk = serve();
        JsonNode api = JSON.readTree(Files.readString(Path.of("openapi.json")));
        List<String> open = new ArrayList<>();
        int asked = 0;
        for (var path : api.get("paths").properties()) {
            for (String method : List.of("GET", "PUT", "POST", "DELETE")) {
                if (path.getValue().has(method.toLowerCase(java.util.Locale.ROOT))) {
                    String address = path.getKey().replaceAll("\\{[^}]*}", "1");
                    for (String from : List.of(PHONE, "127.0.0.1")) {
                        int status = ask(MockMvcRequestBuilders.request(HttpMethod.valueOf(method), address), from)
                                .getStatus();
                        asked++;
                        if (status != 401) {
                            open.add(method + " " + address + " " + status);
                        }
                    }
                }
            }
        }
        assertTrue(asked > 100, asked + " asked");
        // the way in: reading whether it is needed, logging in (with nothing), logging out of nothing
        assertEquals(
                List.of(
                        "GET /api/session 200",
                        "GET /api/session 200",
                        "POST /api/session 400",
                        "POST /api/session 400",
                        "DELETE /api/session 204",
                        "DELETE /api/session 204"),
                open);
        assertEquals(200, ask(get("/api/standing"), "127.0.0.1", desk).getStatus());
    }

    @Test
    void what_holds_no_data_is_there_for_all() throws Exception {
        serve();
        for (String path : List.of(
                "/", "/tonight", "/pair", "/guest", "/actuator/health", "/syntoma-authority.crt", "/icon.svg")) {
            assertEquals(
                    200, ask(get(path).accept("text/html", "*/*"), NEIGHBOUR).getStatus(), path);
        }
    }

    @Test
    void no_other_writing_of_an_address_leads_past() throws Exception {
        serve();
        for (String path : List.of(
                "/API/standing", "/%61pi/standing", "/api/../api/standing", "/x/%2e%2e/api/standing", "/error")) {
            MockHttpServletRequestBuilder asked = get(java.net.URI.create(path));
            assertEquals(401, ask(asked, NEIGHBOUR).getStatus(), path);
        }
    }

    @Test
    void the_phrase_lets_in_until_the_session_ends() throws Exception {
        Cookie desk = serve();
        assertEquals(
                401, logIn(Map.of("phrase", "rusty gate by the query"), PHONE).getStatus());
        MockHttpServletResponse in = logIn(Map.of("phrase", " " + PHRASE + " ", "device", "Phone"), PHONE);
        assertEquals(204, in.getStatus());
        String given = in.getHeader("Set-Cookie");
        assertTrue(given.contains("Secure") && given.contains("HttpOnly") && given.contains("SameSite=Strict"), given);
        Cookie phone = cookie(in);
        assertEquals(200, ask(get("/api/standing"), PHONE, phone).getStatus());

        JsonNode devices = json(ask(get("/api/devices"), PHONE, phone));
        assertEquals(2, devices.size());
        JsonNode own = devices.get(0).get("thisOne").asBoolean() ? devices.get(0) : devices.get(1);
        assertEquals("Phone", own.get("device").asText());
        assertEquals(PHONE, own.get("source").asText());
        assertEquals(
                204,
                ask(delete("/api/devices/" + own.get("id").asText()), "127.0.0.1", desk)
                        .getStatus());
        assertEquals(401, ask(get("/api/standing"), PHONE, phone).getStatus());

        Cookie again = cookie(logIn(Map.of("phrase", PHRASE), PHONE));
        assertEquals(204, ask(delete("/api/session"), PHONE, again).getStatus());
        assertEquals(401, ask(get("/api/standing"), PHONE, again).getStatus());

        Cookie third = cookie(logIn(Map.of("phrase", PHRASE), PHONE));
        now = now.plus(Duration.ofDays(89));
        assertEquals(200, ask(get("/api/standing"), PHONE, third).getStatus());
        now = now.plus(Duration.ofDays(89));
        assertEquals(200, ask(get("/api/standing"), PHONE, third).getStatus());
        now = now.plus(Duration.ofDays(91));
        assertEquals(401, ask(get("/api/standing"), PHONE, third).getStatus());
    }

    @Test
    void a_new_phrase_is_set_here_alone_and_ends_the_sessions_of_others() throws Exception {
        Cookie desk = serve();
        Cookie phone = cookie(logIn(Map.of("phrase", PHRASE), PHONE));
        Map<String, String> change = Map.of("phrase", "nine grey herons", "old", PHRASE);
        assertEquals(403, ask(with(put("/api/phrase"), change), PHONE, phone).getStatus());
        assertEquals(
                403,
                ask(with(put("/api/network"), Map.of("served", false)), PHONE, phone)
                        .getStatus());
        for (Map<String, String> wrong : List.of(
                Map.of("phrase", "nine grey herons"),
                Map.of("phrase", "nine grey herons", "old", "wrong one here"),
                Map.of("phrase", "password1234", "old", PHRASE),
                Map.of("phrase", "short", "old", PHRASE))) {
            MockHttpServletResponse refused = ask(with(put("/api/phrase"), wrong), "127.0.0.1", desk);
            assertEquals(400, refused.getStatus());
            for (String secret : wrong.values()) {
                assertFalse(refused.getContentAsString().contains(secret), refused.getContentAsString());
            }
        }
        assertEquals(
                204, ask(with(put("/api/phrase"), change), "127.0.0.1", desk).getStatus());
        assertEquals(401, ask(get("/api/standing"), PHONE, phone).getStatus());
        assertEquals(200, ask(get("/api/standing"), "127.0.0.1", desk).getStatus());
        assertEquals(401, logIn(Map.of("phrase", PHRASE), PHONE).getStatus());
        assertEquals(204, logIn(Map.of("phrase", "nine grey herons"), PHONE).getStatus());
    }

    @Test
    void a_code_lets_one_phone_in_once_for_five_minutes() throws Exception {
        Cookie desk = serve();
        JsonNode pairing = json(ask(post("/api/pairing"), "127.0.0.1", desk));
        String code = pairing.get("code").asText();
        assertTrue(pairing.get("url").asText().endsWith("/pair#" + code));
        assertEquals(
                now.plusSeconds(300), Instant.parse(pairing.get("expiresAt").asText()));
        assertEquals(pairing.get("qr").size(), pairing.get("qr").get(0).asText().length());
        String typed = code.toLowerCase(java.util.Locale.ROOT).replace("-", " ");
        assertEquals(204, logIn(Map.of("code", typed), PHONE).getStatus());
        assertEquals(401, logIn(Map.of("code", code), NEIGHBOUR).getStatus());

        String late =
                json(ask(post("/api/pairing"), "127.0.0.1", desk)).get("code").asText();
        now = now.plusSeconds(300);
        assertEquals(401, logIn(Map.of("code", late), PHONE).getStatus());
    }

    @Test
    void who_guesses_is_slowed_and_nobody_else() throws Exception {
        serve();
        for (int i = 0; i < 10; i++) {
            assertEquals(
                    401,
                    logIn(Map.of(i % 2 == 0 ? "phrase" : "code", "wrong guess " + i), NEIGHBOUR)
                            .getStatus());
        }
        MockHttpServletResponse slowed = logIn(Map.of("phrase", PHRASE), NEIGHBOUR);
        assertEquals(429, slowed.getStatus());
        assertEquals("61", slowed.getHeader("Retry-After"));
        assertEquals(204, logIn(Map.of("phrase", PHRASE), PHONE).getStatus());
        now = now.plusSeconds(61);
        assertEquals(401, logIn(Map.of("phrase", "one more guess"), NEIGHBOUR).getStatus());
        // the wait doubles each time
        assertEquals("121", logIn(Map.of("phrase", "and one more"), NEIGHBOUR).getHeader("Retry-After"));
        now = now.plusSeconds(121);
        assertEquals(204, logIn(Map.of("phrase", PHRASE), NEIGHBOUR).getStatus());
    }

    @Test
    void nothing_but_a_right_phrase_or_code_lets_a_device_guess_again() throws Exception {
        Cookie desk = serve();
        String page = "/trials?campsite=Lighthouse+Meadow&trial=Evening";
        MockHttpServletResponse made =
                ask(with(post("/api/guests"), Map.of("page", page, "days", 7, "name", "Helper")), "127.0.0.1", desk);
        String url = json(made).get("url").asText();
        String word = url.substring(url.indexOf('#') + 1);
        for (int i = 0; i < 10; i++) {
            assertEquals(
                    401, logIn(Map.of("code", "wrong guess " + i), NEIGHBOUR).getStatus());
            assertEquals(400, logIn(Map.of(), NEIGHBOUR).getStatus());
            assertEquals(204, logIn(Map.of("guest", word), NEIGHBOUR).getStatus());
        }
        assertEquals(429, logIn(Map.of("phrase", PHRASE), NEIGHBOUR).getStatus());
        // a start again is no way around
        assertFalse(new Throttle(new SecretFiles(ForkFiles.files()), clock)
                .waitForPhrase(NEIGHBOUR)
                .isZero());
    }

    @Test
    void a_guest_reads_one_verdict_until_it_ends() throws Exception {
        Cookie desk = serve();
        String page = "/trials?campsite=Lighthouse+Meadow&trial=Evening";
        MockHttpServletResponse made =
                ask(with(post("/api/guests"), Map.of("page", page, "days", 7, "name", "Helper")), "127.0.0.1", desk);
        assertEquals(200, made.getStatus(), made.getContentAsString());
        String url = json(made).get("url").asText();
        String word = url.substring(url.indexOf('#') + 1);
        MockHttpServletResponse in = logIn(Map.of("guest", word), NEIGHBOUR);
        assertEquals(204, in.getStatus());
        Cookie guest = cookie(in);
        assertEquals(
                page,
                json(ask(get("/api/session"), NEIGHBOUR, guest)).get("page").asText());
        MockHttpServletRequestBuilder own =
                get("/api/results/trial").param("campsite", "Lighthouse Meadow").param("trial", "Evening");
        assertTrue(List.of(200, 404).contains(ask(own, NEIGHBOUR, guest).getStatus()));
        MockHttpServletRequestBuilder other =
                get("/api/results/trial").param("campsite", "Amber Spit").param("trial", "Evening");
        assertEquals(403, ask(other, NEIGHBOUR, guest).getStatus());
        for (String refused : List.of("/api/standing", "/api/devices", "/api/measurements.csv", "/api/openapi.json")) {
            assertEquals(403, ask(get(refused), NEIGHBOUR, guest).getStatus(), refused);
        }
        assertEquals(403, ask(post("/api/pairing"), NEIGHBOUR, guest).getStatus());
        now = now.plus(Duration.ofDays(7));
        assertEquals(401, ask(own, NEIGHBOUR, guest).getStatus());
        assertEquals(401, logIn(Map.of("guest", word), NEIGHBOUR).getStatus());
    }

    @Test
    void what_is_no_request_is_refused_in_words_that_repeat_no_secret() throws Exception {
        Cookie desk = serve();
        List<String> bodies = List.of(
                "",
                "null",
                "[]",
                "7",
                "{",
                "{}",
                "{\"phrase\":{\"rusty gate\":1}}",
                "{\"phrase\":[\"rusty gate\"]}",
                "{\"phrase\":null,\"unknown\":true}",
                "{\"served\":\"maybe\"}",
                "{\"page\":[\"rusty gate\"],\"days\":\"x\"}",
                "{\"page\":\"/trials?stay=%zz\",\"days\":3}");
        for (String body : bodies) {
            for (MockHttpServletRequestBuilder call :
                    List.of(post("/api/session"), put("/api/phrase"), put("/api/network"), post("/api/guests"))) {
                MockHttpServletResponse refused =
                        ask(call.contentType(MediaType.APPLICATION_JSON).content(body), "127.0.0.1", desk);
                assertEquals(400, refused.getStatus(), body + " " + refused.getContentAsString());
                assertEquals("application/problem+json", refused.getContentType());
                assertFalse(refused.getContentAsString().contains("rusty"), refused.getContentAsString());
            }
        }
    }

    @Test
    void a_guests_link_is_for_a_verdict_and_has_an_end() throws Exception {
        Cookie desk = serve();
        for (Map<String, Object> wrong : List.<Map<String, Object>>of(
                Map.of("page", "/logbook", "days", 7),
                Map.of("page", "https://elsewhere.example/trials?stay=1", "days", 7),
                Map.of("page", "/trials", "days", 7),
                Map.of("page", "/trials?stay=1", "days", 0),
                Map.of("page", "/trials?stay=1", "days", 91))) {
            assertEquals(
                    400,
                    ask(with(post("/api/guests"), wrong), "127.0.0.1", desk).getStatus(),
                    wrong.toString());
        }
    }

    @Test
    void only_hashes_are_kept_and_the_certificate_is_for_this_machine_alone() throws Exception {
        Cookie desk = serve();
        logIn(Map.of("phrase", PHRASE), PHONE);
        try (Stream<Path> files = Files.list(ForkFiles.files().access())) {
            for (Path file : files.toList()) {
                String text = Files.readString(file, StandardCharsets.ISO_8859_1);
                assertFalse(text.contains(PHRASE) || text.contains(desk.getValue()), file.toString());
            }
        }
        assertTrue(
                Files.readString(ForkFiles.files().access().resolve("phrase")).startsWith("$argon2id$"));
        Certificates.ServedCertificate shown = certificates.current(List.of());
        assertEquals(2, shown.chain().size());
        shown.server().verify(shown.chain().get(1).getPublicKey());
        assertTrue(shown.names().contains("127.0.0.1"));
        assertEquals(shown.server(), certificates.current(List.of()).server(), "made once");
        assertNotNull(shown.chain().get(1).getExtensionValue("2.5.29.30"), "limited to local names");
        now = now.plus(Duration.ofDays(340));
        assertFalse(shown.server().equals(certificates.current(List.of()).server()), "made anew before it ends");
        assertEquals(
                shown.chain().get(1), certificates.current(List.of()).chain().get(1));
    }

    @Test
    void plain_http_from_the_network_is_led_to_tls_or_refused() throws Exception {
        serve();
        MockHttpServletRequestBuilder page = get("/logbook?stay=8");
        page.with(r -> {
            r.setRemoteAddr(PHONE);
            return r;
        });
        MockHttpServletResponse led = mvc.perform(page).andReturn().getResponse();
        assertEquals(308, led.getStatus());
        assertEquals("https://localhost/logbook?stay=8", led.getHeader("Location"));
        MockHttpServletRequestBuilder call = post("/api/session");
        call.with(r -> {
            r.setRemoteAddr(PHONE);
            return r;
        });
        MockHttpServletResponse refused = mvc.perform(call).andReturn().getResponse();
        assertEquals(403, refused.getStatus());
        assertNull(refused.getHeader("Set-Cookie"));
    }
}

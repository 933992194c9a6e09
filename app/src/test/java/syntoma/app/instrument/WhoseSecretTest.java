package syntoma.app.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import syntoma.app.ApiTest;
import syntoma.app.ForkFiles;
import syntoma.app.Requests;

/** A secret goes to the address that it was entered for and to no other, and not every address is called. */
@ApiTest
class WhoseSecretTest {
    private static final String ANSWER = "{\"lte\":{\"band\":\"B20\",\"rsrp\":-97},\"owner\":\"nobody's business\"}";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private DataSource source;

    @Autowired
    private Routers routers;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private Requests.Answer set(String path, String body, String from) throws Exception {
        return ask(put(path).contentType(MediaType.APPLICATION_JSON).content(body), from);
    }

    private Requests.Answer ask(MockHttpServletRequestBuilder call, String from) throws Exception {
        return requests.ask(call.with(r -> {
            r.setRemoteAddr(from);
            r.setSecure(!from.startsWith("127."));
            r.setScheme(from.startsWith("127.") ? "http" : "https");
            return r;
        }));
    }

    private static String router(String address, String more) {
        return "{\"kind\":\"http-json\",\"address\":\"" + address + "\"" + more + "}";
    }

    private static String at(MadeUpRouter router) {
        return "http://127.0.0.1:" + router.port();
    }

    private String stored(String column, String table) throws Exception {
        try (Connection connection = source.getConnection();
                Statement sql = connection.createStatement();
                ResultSet row = sql.executeQuery("select " + column + " from " + table)) {
            row.next();
            return row.getString(1);
        }
    }

    @Test
    void another_address_starts_without_the_password_and_the_mapping() throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER));
                MadeUpRouter listener = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER))) {
            set(
                    "/api/measure/router",
                    router(at(router), ",\"user\":\"admin\",\"password\":\"S3cret!77\",\"mapping\":{\"mode\":\"/x\"}"),
                    "127.0.0.1");
            JsonNode other = set("/api/measure/router", router(at(listener), ",\"user\":\"admin\""), "127.0.0.1")
                    .json();
            assertFalse(other.get("hasSecret").asBoolean());
            assertTrue(other.get("mapping").isEmpty(), other.toString());
            requests.ask(post("/api/measure/router/probe"));
            // admin without a password, in base 64
            assertTrue(listener.requests().contains("Basic YWRtaW46\r"), listener.requests());
        }
        set("/api/measure/server", "{\"address\":\"http://127.0.0.1:1\",\"key\":\"Key!88\"}", "127.0.0.1");
        JsonNode server = set("/api/measure/server", "{\"address\":\"http://127.0.0.1:2\"}", "127.0.0.1")
                .json();
        assertFalse(server.get("hasSecret").asBoolean());
    }

    @Test
    void a_router_that_sends_to_another_port_is_followed_without_the_password() throws Exception {
        try (MadeUpRouter target = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER));
                MadeUpRouter router = new MadeUpRouter(request ->
                        "HTTP/1.1 302 Found\r\nLocation: " + at(target) + "/x\r\nContent-Length: 0\r\n\r\n")) {
            set(
                    "/api/measure/router",
                    router(at(router), ",\"user\":\"admin\",\"password\":\"S3cret!77\",\"mapping\":{}"),
                    "127.0.0.1");
            assertTrue(requests.ask(post("/api/measure/router/probe"))
                    .json()
                    .get("reached")
                    .asBoolean());
            assertTrue(router.requests().contains("Authorization: Basic"), router.requests());
            assertFalse(target.requests().contains("Authorization"), target.requests());
        }
    }

    @Test
    void secrets_are_stored_encrypted_with_a_key_that_only_the_owner_reads() throws Exception {
        set(
                "/api/measure/router",
                router("http://127.0.0.1:1", ",\"user\":\"admin\",\"password\":\"S3cret!77\",\"mapping\":{}"),
                "127.0.0.1");
        String stored = stored("password", "router");
        assertTrue(stored.startsWith("sealed:1:") && !stored.contains("S3cret"), stored);
        assertEquals("S3cret!77", routers.connection().orElseThrow().password());
        assertEquals(
                "rw-------",
                PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(ForkFiles.files().access().resolve("secrets.key"))));
        // one from before is encrypted at the next start
        try (Connection connection = source.getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute("update router set password = 'from before'");
        }
        routers.sealSecrets();
        assertTrue(stored("password", "router").startsWith("sealed:1:"));
        assertEquals("from before", routers.connection().orElseThrow().password());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "http://169.254.169.254",
                "http://[fe80::1]",
                "http://0.0.0.0:80",
                "http://224.0.0.1",
                "http://[::ffff:169.254.169.254]"
            })
    void some_addresses_are_never_called(String address) throws Exception {
        Requests.Answer refused = set("/api/measure/router", router(address, ",\"mapping\":{}"), "127.0.0.1");
        assertEquals(400, refused.status(), refused.text());
        assertTrue(refused.text().contains("is never called"), refused.text());
        assertEquals(
                400,
                set("/api/measure/server", "{\"address\":\"" + address + "\"}", "127.0.0.1")
                        .status());
    }

    @ParameterizedTest
    @ValueSource(strings = {"http://127.0.0.1:9", "http://localhost:9", "http://2130706433:9", "http://[::1]:9"})
    void this_machines_own_addresses_are_set_on_this_machine_alone(String address) throws Exception {
        String body = router(address, ",\"mapping\":{}");
        assertEquals(200, set("/api/measure/router", body, "127.0.0.1").status());
        set("/api/measure/router", "{\"kind\":\"\"}", "127.0.0.1");
        Requests.Answer refused = set("/api/measure/router", body, "192.168.8.21");
        assertEquals(400, refused.status(), refused.text());
        assertTrue(refused.text().contains("can only be set on the machine"), refused.text());
    }

    @Test
    void an_address_on_the_internet_is_asked_about_once() throws Exception {
        String body = "{\"address\":\"https://203.0.113.9\",\"key\":\"k\"";
        Requests.Answer question = set("/api/measure/server", body + "}", "127.0.0.1");
        assertEquals(409, question.status(), question.text());
        assertEquals("true", question.json().at("/choices/0/as").asText());
        assertEquals(
                200,
                set("/api/measure/server", body + ",\"publicAllowed\":true}", "127.0.0.1")
                        .status());
        assertEquals(200, set("/api/measure/server", body + "}", "127.0.0.1").status());
    }

    @Test
    void another_device_is_shown_what_is_mapped_and_no_more() throws Exception {
        try (MadeUpRouter router = new MadeUpRouter(request -> MadeUpRouter.json(ANSWER))) {
            set("/api/measure/router", router(at(router), ",\"mapping\":{}"), "127.0.0.1");
            assertTrue(requests.ask(post("/api/measure/router/probe")).text().contains("nobody's business"));
            Requests.Answer elsewhere = ask(post("/api/measure/router/probe"), "192.168.8.21");
            assertFalse(elsewhere.text().contains("nobody's business"), elsewhere.text());
            assertEquals(-97, elsewhere.json().at("/reading/cells/0/rsrpDbm").asDouble());
        }
    }

    @Test
    void a_token_that_no_header_holds_is_refused() throws Exception {
        Requests.Answer refused =
                set("/api/measure/router", router("http://127.0.0.1:9", ",\"token\":\"ключ\""), "127.0.0.1");
        assertEquals(400, refused.status());
        assertTrue(refused.text().contains("\"field\":\"token\""), refused.text());
    }
}

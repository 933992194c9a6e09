package syntoma.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/**
 * Walks every operation of the description of the API. A body that is right is taken; with one place of it null, missing, of
 * another type, too long or unknown it is refused as a problem document that names the field, or taken where that is allowed.
 */
@ApiTest
@TestPropertySource(properties = "syntoma.demo=true")
class EveryOperationTest {
    /**
     * Marks what a router says, and none is set here; keeps where bearings cross, and none do; lengthens leads, and those of the demo
     * reach.
     */
    private static final List<String> OF_WHAT_IS_NOT_HERE = List.of(
            "POST /api/walks/{id}/marks",
            "POST /api/aim/crossings",
            "POST /api/fitout/plans/{id}/extension",
            "PUT /api/stays/{id}/photos/{photo}/caption",
            "POST /api/advice/followed/{id}/outcome");

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final String TOO_LONG = "x".repeat(5_001);
    /** These change who is admitted, also of the calls here; the test of access walks them. */
    private static final List<String> WHO_MAY_IN = List.of(
            "POST /api/session", "PUT /api/phrase", "PUT /api/network", "PUT /api/networks/{id}", "POST /api/guests");

    /** More than a pasted data sheet may have. */
    private static final String MUCH_TOO_LONG = "x".repeat(200_001);

    @Autowired
    private MockMvc mvc;

    private Requests requests;
    private JsonNode api;
    private final List<String> faults = new ArrayList<>();
    private int calls;

    @BeforeEach
    void open() throws Exception {
        requests = new Requests(mvc);
        api = JSON.readTree(Files.readString(Path.of("openapi.json")));
    }

    /** A body that is right for each operation that has one. */
    private Map<String, String> bodies() throws Exception {
        Map<String, String> filled = new TreeMap<>();
        for (Map.Entry<String, String> body : RightBodies.all().entrySet()) {
            String text = body.getValue();
            for (JsonNode item : requests.read("/api/gear").json()) {
                text = text.replace(
                        "{" + item.get("name").asText() + "}", item.get("id").asText());
            }
            for (JsonNode place : requests.read("/api/campsites").json()) {
                text = text.replace(
                        "{" + place.get("name").asText() + "}", place.get("id").asText());
            }
            JsonNode stay = stay("Birch Hollow");
            text = text.replace("{arrived}", stay.get("arrivedAt").asText())
                    .replace("{left}", stay.get("leftAt").asText())
                    .replace("{between}", between(stay("Ferry Slip Four")))
                    .replace("{stay}", stay.get("id").asText())
                    .replace("{measured}", measurement());
            text = text.replace(
                    "{Roof dome}", requests.setup("Roof dome").at("/setup/id").asText());
            filled.put(body.getKey(), text);
        }
        return filled;
    }

    /** A stay that is over. */
    private JsonNode stay(String campsite) throws Exception {
        for (JsonNode stay : requests.read("/api/stays").json()) {
            if (!stay.get("leftAt").isNull() && stay.get("campsite").asText().equals(campsite)) {
                return stay;
            }
        }
        throw new AssertionError("no stay at " + campsite);
    }

    private static String between(JsonNode stay) {
        return OffsetDateTime.parse(stay.get("arrivedAt").asText())
                .plusMinutes(30)
                .toString();
    }

    /** The number of a measurement that was made elsewhere. */
    private String measurement() throws Exception {
        OffsetDateTime left =
                OffsetDateTime.parse(stay("Birch Hollow").get("leftAt").asText());
        String next = "";
        for (JsonNode m : requests.read("/api/measurements?limit=5000").json()) {
            // the latest stand first
            if (OffsetDateTime.parse(m.get("takenAt").asText()).isAfter(left)) {
                next = m.get("id").asText();
            }
        }
        return next;
    }

    @Test
    void a_body_is_refused_at_the_place_that_is_wrong() throws Exception {
        Map<String, String> bodies = bodies();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
                String operation = method.getKey().toUpperCase(java.util.Locale.ROOT) + " " + path.getKey();
                JsonNode content = method.getValue().at("/requestBody/content/application~1json/schema");
                if (!content.isMissingNode() && !WHO_MAY_IN.contains(operation)) {
                    assertTrue(bodies.containsKey(operation), operation + " has no body here");
                    walk(operation, JSON.readTree(bodies.get(operation)), content);
                }
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(calls > 300, calls + " calls");
    }

    @Test
    void what_is_only_read_is_no_change_for_which_every_page_would_look_again() throws Exception {
        int read = 0;
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            if (path.getValue().has("get")) {
                long before = revision();
                requests.read(
                        address("GET " + path.getKey()).replace("{name}", "B3").replace("{photo}", "1"));
                assertEquals(before, revision(), path.getKey());
                read++;
            }
        }
        assertTrue(read > 30, read + " read");
    }

    private long revision() throws Exception {
        return requests.read("/api/revision").json().get("revision").asLong();
    }

    private void walk(String operation, JsonNode right, JsonNode schema) throws Exception {
        String address = address(operation);
        int status = send(operation, address, right.toString()).getStatus();
        if (status >= 300 && !OF_WHAT_IS_NOT_HERE.contains(operation)) {
            faults.add(operation + " as it should be: " + status);
        }
        places(right, schema, "", (place, described, set) -> {
            boolean object = at(right, place).isObject();
            JsonNode value = at(right, place);
            JsonNode strange = object ? NODES.numberNode(7) : NODES.objectNode().set("a", NODES.arrayNode());
            refused(operation, address, with(right, place, set, strange), place, "of another type", true);
            if (value.isTextual() && !place.contains("port")) {
                String longer = operation.endsWith("/sheet-text") ? MUCH_TOO_LONG : TOO_LONG;
                refused(operation, address, with(right, place, set, NODES.textNode(longer)), place, "too long", true);
            }
            if (object) {
                ObjectNode more = value.deepCopy();
                more.put("colour", "red");
                refused(
                        operation,
                        address,
                        with(right, place, set, more),
                        "colour",
                        "unknown",
                        !place.endsWith("wiring"));
            }
            boolean needed = isPrimitive(described) || place.endsWith("]");
            refused(operation, address, with(right, place, set, NODES.nullNode()), place, "null", needed);
            if (!place.endsWith("]")) {
                refused(operation, address, with(right, place, set, null), place, "missing", needed);
            }
        });
        ObjectNode more = right.deepCopy();
        more.put("colour", "red");
        refused(operation, address, more, "colour", "unknown", true);
    }

    /** Of the schemas only request bodies have no null where a number or a truth is asked for. */
    private static boolean isPrimitive(JsonNode schema) {
        return List.of("number", "integer", "boolean")
                        .contains(schema.path("type").asText())
                && !schema.path("nullable").asBoolean();
    }

    /** How a place is set in the object or the list that holds it; null deletes it . */
    private interface Setting {
        void set(JsonNode holder, JsonNode value);
    }

    private interface Visit {
        void at(String place, JsonNode schema, Setting set) throws Exception;
    }

    /** All places of a body, objects before what they hold, of a list the first. */
    private void places(JsonNode value, JsonNode described, String path, Visit visit) throws Exception {
        JsonNode schema = resolved(described);
        if (value.isObject()) {
            for (Map.Entry<String, JsonNode> field : value.properties()) {
                JsonNode inner = schema.path("properties").path(field.getKey());
                String place = path.isEmpty() ? field.getKey() : path + "." + field.getKey();
                visit.at(place, inner, (holder, v) -> {
                    if (v == null) {
                        ((ObjectNode) holder).remove(field.getKey());
                    } else {
                        ((ObjectNode) holder).set(field.getKey(), v);
                    }
                });
                places(field.getValue(), inner, place, visit);
            }
        } else if (value.isArray() && !value.isEmpty()) {
            visit.at(path + "[0]", schema.path("items"), (holder, v) -> ((ArrayNode) holder).set(0, v));
            places(value.get(0), schema.path("items"), path + "[0]", visit);
        }
    }

    private JsonNode resolved(JsonNode schema) {
        JsonNode plain = schema.has("allOf") ? schema.get("allOf").get(0) : schema;
        String ref = plain.path("$ref").asText();
        return ref.isEmpty() ? plain : api.at(ref.substring(1));
    }

    private static JsonNode at(JsonNode root, String place) {
        return root.at("/" + place.replace('.', '/').replace("[", "/").replace("]", ""));
    }

    private static JsonNode with(JsonNode right, String place, Setting set, JsonNode value) {
        JsonNode copy = right.deepCopy();
        int end = place.endsWith("]") ? place.lastIndexOf('[') : place.lastIndexOf('.');
        set.set(end < 0 ? copy : at(copy, place.substring(0, end)), value);
        return copy;
    }

    private void refused(String operation, String address, JsonNode body, String place, String how, boolean must)
            throws Exception {
        MockHttpServletResponse answer = send(operation, address, body.toString());
        String what = operation + ", " + place + " " + how + ": " + answer.getStatus();
        if (answer.getStatus() >= 500 || must && answer.getStatus() < 400) {
            // an import judges its items one by one, and a check tells what is wrong
            boolean told =
                    answer.getStatus() == 200 && (answer.getContentAsString().contains("\"message\""));
            if (!told) {
                faults.add(what);
            }
        }
        if (answer.getStatus() == 400) {
            JsonNode problem = JSON.readTree(answer.getContentAsString());
            String leaf = place.substring(place.lastIndexOf('.') + 1).replace("[0]", "");
            // what is left out may be missed by a rule about another field
            boolean named = problem.path("errors").size() > 0
                    && (!must
                            || problem.get("detail").asText().contains(leaf)
                            || problem.get("errors").findValuesAsText("field").stream()
                                    .anyMatch(f -> f.contains(leaf)));
            if (!String.valueOf(answer.getContentType()).startsWith("application/problem+json") || !named) {
                faults.add(what + " names not the field: " + shown(problem.toString()));
            }
        }
    }

    private static String shown(String text) {
        return text.substring(0, Math.min(300, text.length()));
    }

    private MockHttpServletResponse send(String operation, String address, String body) throws Exception {
        calls++;
        HttpMethod method = HttpMethod.valueOf(operation.substring(0, operation.indexOf(' ')));
        return mvc.perform(MockMvcRequestBuilders.request(method, address)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(body))
                .andReturn()
                .getResponse();
    }

    private String campsite(String name) throws Exception {
        for (JsonNode place : requests.read("/api/campsites").json()) {
            if (place.get("name").asText().equals(name)) {
                return place.get("id").asText();
            }
        }
        return "1";
    }

    private String roofPlan() throws Exception {
        JsonNode plans = requests.read("/api/fitout").json().get("plans");
        return plans.isEmpty()
                ? requests.send("/api/fitout/plans", Map.of("name", "A build"))
                        .json()
                        .get("id")
                        .asText()
                : plans.at("/0/id").asText();
    }

    /** The address of an operation, on a thing that there is. */
    private String address(String operation) throws Exception {
        String path = operation.substring(operation.indexOf(' ') + 1);
        if (path.startsWith("/api/gear/{id}")) {
            return path.replace(
                    "{id}", requests.gear("Thin extension 3 m").get("id").asText());
        }
        if (operation.equals("PUT /api/leave")) {
            // a step can be ticked where there is something to take down
            requests.put("/api/standing", Map.of("setup", "Mast panel", "carrier", "Tarnwave"));
            return path;
        }
        if (path.startsWith("/api/ledger/")) {
            return path.replace("{gear}", requests.gear("Ostrel SIM").get("id").asText())
                    .replace("{reading}", "1");
        }
        if (path.startsWith("/api/bench/")) {
            return path.replace("{calculator}", "cable");
        }
        if (path.startsWith("/api/fitout/plans/{id}")) {
            return path.replace("{id}", roofPlan()).replace("{photo}", "1");
        }
        if (operation.startsWith("POST /api/practice/{id}")) {
            return path.replace(
                    "{id}",
                    requests.send("/api/practice", Map.of()).json().get("id").asText());
        }
        if (path.startsWith("/api/aim/sweeps/{id}/")) {
            return path.replace(
                    "{id}",
                    requests.send("/api/aim/sweeps", Map.of()).json().get("id").asText());
        }
        if (path.startsWith("/api/names/")) {
            return path.replace("{kind}/also", "carrier/also?known=Ostrel")
                    .replace("{kind}", "campsite")
                    .replace("{id}", campsite(path.endsWith("/preview") ? "Juniper Ridge" : "Bog Boardwalk"));
        }
        if (path.startsWith("/api/stays/")) {
            return path.replace(
                            "{id}",
                            stay(path.endsWith("/split") ? "Ferry Slip Four" : "Birch Hollow")
                                    .get("id")
                                    .asText())
                    .replace("{photo}", "1");
        }
        if (path.startsWith("/api/measurements/")) {
            return path.replace("{id}", measurement());
        }
        if (path.endsWith("/brought")) {
            String begin = "POST /api/runs/by-browser";
            MockHttpServletResponse begun = send(begin, "/api/runs/by-browser", bodies().get(begin));
            return path.replace(
                    "{id}", JSON.readTree(begun.getContentAsString()).get("id").asText());
        }
        return path.replace("{id}", requests.setup("Roof dome").at("/setup/id").asText());
    }

    @Test
    void a_parameter_is_refused_by_its_name() throws Exception {
        Map<String, String> bodies = bodies();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
                // what goes on after the answer needs a real connection; the calls from outside have those
                boolean stream = method.getValue().path("responses").toString().contains("text/event-stream");
                for (JsonNode parameter :
                        stream ? NODES.arrayNode() : method.getValue().path("parameters")) {
                    for (String value : List.of("x", TOO_LONG, "", "null", "-1", "99999999999999999999", "%00")) {
                        call(path.getKey(), method.getKey(), parameter, value, bodies);
                    }
                }
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(calls > 200, calls + " calls");
    }

    private void call(String path, String method, JsonNode parameter, String value, Map<String, String> bodies)
            throws Exception {
        String operation = method.toUpperCase(java.util.Locale.ROOT) + " " + path;
        String body = bodies.get(operation);
        calls++;
        String name = parameter.get("name").asText();
        boolean number = parameter.at("/schema/type").asText().equals("integer");
        boolean inPath = parameter.get("in").asText().equals("path");
        String address = path.replaceAll("\\{(?!" + (inPath ? name : "-") + "})\\w+}", "1")
                .replaceAll("\\{\\w+}", "{0}");
        var request = MockMvcRequestBuilders.request(
                HttpMethod.valueOf(method.toUpperCase(java.util.Locale.ROOT)), address, value.isEmpty() ? " " : value);
        if (parameter.get("in").asText().equals("query")) {
            request.param(name, value);
        }
        if (body != null) {
            request.contentType(MediaType.APPLICATION_JSON).content(body);
        }
        MockHttpServletResponse answer = mvc.perform(request).andReturn().getResponse();
        String what = method + " " + path + " with " + name + " “" + value.substring(0, Math.min(20, value.length()))
                + "”: " + answer.getStatus();
        if (answer.getStatus() >= 500) {
            faults.add(what);
        }
        String text = answer.getContentAsString();
        if (number && value.equals("x") && (answer.getStatus() != 400 || !text.contains("\"" + name + "\""))) {
            faults.add(what + " " + shown(text));
        }
    }
}

package syntoma.e2e;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Calls made from the description of the API, most of them wrong in one way or another. Each must be answered within two
 * seconds, never as a fault of the server's own, and every refusal must be a problem document that gives nothing away.
 */
final class HostileCalls {
    /** An address beyond this is refused while it is still being sent, so that the answer may be lost on its way. */
    private static final int LONGEST_LINE = 8 * 1024;

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final long SLOWEST_MS = 2_000;
    private static final List<String> GIVEN_AWAY =
            List.of("java.", "org.spring", "org.h2", "org.hibernate", "Exception", "syntoma.app", "jdbc:", "\tat ");
    /** Who may in is not changed here, or all that comes after would only hear that it may not. */
    private static final List<String> WHO_MAY_IN = List.of("/api/phrase", "/api/network");

    private static final List<String> METHODS = List.of("get", "put", "post", "delete");

    private final HttpClient client = HttpClient.newHttpClient();
    private final RunningApp app;
    private final Random random;
    private final JsonNode api;
    private final List<Operation> operations = new ArrayList<>();

    private record Operation(String method, String path, JsonNode described) {}

    HostileCalls(RunningApp app, long seed) throws JsonProcessingException {
        this.app = app;
        this.random = new Random(seed);
        this.api = JSON.readTree(app.read("/api/openapi.json"));
        api.get("paths").properties().forEach(path -> METHODS.stream()
                .filter(path.getValue()::has)
                .filter(method -> !WHO_MAY_IN.contains(path.getKey()))
                .forEach(method -> operations.add(
                        new Operation(method, path.getKey(), path.getValue().get(method)))));
    }

    /** Makes so many calls, and returns what was wrong with the answers. */
    List<String> run(int calls) throws InterruptedException {
        List<String> faults = new ArrayList<>();
        for (int i = 0; i < calls; i++) {
            Operation operation = operations.get(random.nextInt(operations.size()));
            String path = path(operation);
            String body = operation.described.has("requestBody") ? body(operation) : null;
            HttpRequest request = request(operation, path, body);
            String what = operation.method + " " + path + " " + shortened(body);
            long start = System.nanoTime();
            try {
                HttpResponse<String> answer = sent(request);
                judge(what, answer, (System.nanoTime() - start) / 1_000_000, faults);
            } catch (IOException broken) {
                if (request.uri().toString().length() < LONGEST_LINE) {
                    faults.add(what + ": " + broken);
                }
            }
        }
        return faults;
    }

    /** A connection that stood may end as a request is sent on it; a client then asks again on another (RFC 9112, 9.3.1). */
    private HttpResponse<String> sent(HttpRequest request) throws IOException, InterruptedException {
        try {
            return client.send(request, HostileCalls::whole);
        } catch (IOException ended) {
            return HttpClient.newHttpClient().send(request, HostileCalls::whole);
        }
    }

    /** The body of an answer; of a stream of events, which has no end, nothing. */
    private static HttpResponse.BodySubscriber<String> whole(HttpResponse.ResponseInfo answer) {
        boolean endless = answer.headers()
                .firstValue("Content-Type")
                .filter(type -> type.startsWith("text/event-stream"))
                .isPresent();
        return endless
                ? HttpResponse.BodySubscribers.mapping(
                        HttpResponse.BodySubscribers.ofInputStream(), HostileCalls::closed)
                : HttpResponse.BodySubscribers.ofString(StandardCharsets.UTF_8);
    }

    private static String closed(InputStream events) {
        try {
            events.close();
            return "";
        } catch (IOException gone) {
            return "";
        }
    }

    private static void judge(String what, HttpResponse<String> answer, long ms, List<String> faults) {
        int status = answer.statusCode();
        String type = answer.headers().firstValue("Content-Type").orElse("");
        if (status >= 500) {
            faults.add(what + ": " + status + " " + shortened(answer.body()));
        }
        if (status >= 400 && !type.startsWith("application/problem+json")) {
            faults.add(what + ": " + status + " is no problem document but " + type);
        }
        if (status >= 400 && GIVEN_AWAY.stream().anyMatch(answer.body()::contains)) {
            faults.add(what + ": gives away " + shortened(answer.body()));
        }
        if (answer.headers().firstValue("X-Content-Type-Options").isEmpty()) {
            faults.add(what + ": the usual headers are missing");
        }
        if (ms > SLOWEST_MS) {
            faults.add(what + ": took " + ms + " ms");
        }
    }

    private HttpRequest request(Operation operation, String path, String body) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(app.address(path))).timeout(Duration.ofSeconds(30));
        String wanted = operation
                        .described
                        .path("requestBody")
                        .path("content")
                        .fieldNames()
                        .hasNext()
                ? operation
                        .described
                        .path("requestBody")
                        .path("content")
                        .fieldNames()
                        .next()
                : "application/json";
        request.header(
                "Content-Type",
                random.nextInt(20) == 0 ? oneOf("text/plain", "x", "a/b;c", "application/xml") : wanted);
        if (random.nextInt(30) == 0) {
            request.header("Accept", oneOf("nonsense", "text/csv", "image/png", "*/*;q=2"));
        }
        return request.method(
                        operation.method.toUpperCase(java.util.Locale.ROOT),
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body))
                .build();
    }

    private String path(Operation operation) {
        String path = operation.path;
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.described.path("parameters")) {
            JsonNode value = random.nextInt(3) == 0 ? hostile() : plausible(parameter.get("schema"), 0);
            String text = value.isValueNode() ? value.asText() : value.toString();
            String encoded = URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
            if (parameter.get("in").asText().equals("path")) {
                path = path.replace("{" + parameter.get("name").asText() + "}", encoded.isEmpty() ? "0" : encoded);
            } else if (random.nextInt(4) > 0) {
                query.append(query.isEmpty() ? "?" : "&")
                        .append(parameter.get("name").asText())
                        .append('=')
                        .append(encoded);
            }
        }
        return path + query;
    }

    private String body(Operation operation) {
        JsonNode schema = operation
                .described
                .get("requestBody")
                .get("content")
                .elements()
                .next()
                .get("schema");
        JsonNode value = plausible(schema, 0);
        if ("string".equals(schema.path("type").asText())) {
            return csv();
        }
        for (int i = random.nextInt(4); i > 0; i--) {
            value = spoiled(value);
        }
        String text = value.toString();
        return switch (random.nextInt(25)) {
            case 0 -> text.substring(0, random.nextInt(text.length() + 1));
            case 1 -> text + text;
            case 2 -> text.replaceFirst("\\{", "{\"name\":1,\"name\":2,");
            case 3 -> "[".repeat(random.nextInt(3_000));
            case 4 -> "";
            default -> text;
        };
    }

    private String csv() {
        StringBuilder file = new StringBuilder("taken_at,campsite,setup,carrier,band,rsrp_dbm,outcome,note\n");
        for (int i = random.nextInt(6); i > 0; i--) {
            file.append("2026-08-1%d%s,%s,Mast panel,Ostrel,%s,%s,ok,%s\n"
                    .formatted(
                            random.nextInt(10),
                            oneOf("T18:05:00+03:00", " 18:05", "", "T99:99:99Z"),
                            text(),
                            oneOf("B20", "n78", "", "B999"),
                            oneOf("-97", "-97.50", "0", "1e999", "x".repeat(200)),
                            text()));
        }
        return file.toString();
    }

    /** A value that the description allows, or nearly. */
    private JsonNode plausible(JsonNode described, int depth) {
        JsonNode schema = described;
        if (schema.has("allOf")) {
            schema = schema.get("allOf").get(0);
        }
        if (schema.has("$ref")) {
            String ref = schema.get("$ref").asText();
            schema = api.get("components").get("schemas").get(ref.substring(ref.lastIndexOf('/') + 1));
        }
        if (depth > 6) {
            return NODES.nullNode();
        }
        return switch (schema.path("type").asText()) {
            case "object" -> {
                ObjectNode object = NODES.objectNode();
                JsonNode properties = schema.path("properties");
                properties.properties().forEach(property -> {
                    if (random.nextInt(10) > 0) {
                        object.set(property.getKey(), plausible(property.getValue(), depth + 1));
                    }
                });
                if (schema.has("additionalProperties")) {
                    for (String key : List.of("gainDb", "bands", "ports", "ranges", "leads", "carrier", "x")) {
                        if (random.nextInt(3) == 0) {
                            object.set(key, random.nextBoolean() ? hostile() : NODES.textNode(text()));
                        }
                    }
                }
                yield object;
            }
            case "array" -> {
                ArrayNode array = NODES.arrayNode();
                for (int i = random.nextInt(4); i > 0; i--) {
                    array.add(plausible(schema.get("items"), depth + 1));
                }
                yield array;
            }
            case "integer" -> NODES.numberNode(random.nextInt(6));
            case "number" -> NODES.numberNode(random.nextInt(100) / 4.0);
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            default -> NODES.textNode(text());
        };
    }

    /** Words that mean something to the application, so that calls get past the first check. */
    private String text() {
        return oneOf(
                "Quarry Lake",
                "Mast panel",
                "Ostrel",
                "antenna",
                "device",
                "cable",
                "booster",
                "setups",
                "owned",
                "B20",
                "n78",
                "LTE",
                "ok",
                "failed",
                "up",
                "rsrp",
                "12.4 MB/s",
                "-97.5",
                "2026-08-14T18:05:00+03:00",
                "steel",
                "evening",
                "roof",
                "SMA-male",
                "syntoma-gear-1",
                "240-class",
                "");
    }

    /** The value with one place of it made hostile. */
    private JsonNode spoiled(JsonNode value) {
        if (value.isEmpty() || random.nextInt(4) == 0) {
            return hostile();
        }
        int at = random.nextInt(value.size());
        if (value instanceof ObjectNode object) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            object.set(names.get(at), spoiled(object.get(names.get(at))));
            if (random.nextInt(8) == 0) {
                object.set("unknown", hostile());
            }
        } else if (value instanceof ArrayNode array) {
            array.set(at, spoiled(array.get(at)));
        }
        return value;
    }

    private JsonNode hostile() {
        return switch (random.nextInt(18)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.numberNode(-1);
            case 2 -> NODES.numberNode(Long.MAX_VALUE);
            case 3 -> NODES.numberNode(1e308);
            case 4 -> NODES.numberNode(new java.math.BigDecimal("1e999999"));
            case 5 -> NODES.booleanNode(true);
            case 6 -> NODES.arrayNode().addNull();
            case 7 -> NODES.objectNode().set("a", NODES.arrayNode().add(1));
            case 8 -> NODES.textNode("a\u0000b");
            case 9 -> NODES.textNode("\u202Egnp.exe");
            case 10 -> NODES.textNode("\uD800");
            case 11 -> NODES.textNode(" ".repeat(20_000));
            case 12 -> NODES.textNode("9".repeat(5_000));
            case 13 -> NODES.textNode("=cmd('x');@y");
            case 14 -> NODES.textNode("'; drop table measurement; --");
            case 15 -> NODES.textNode("../../%2F%00");
            case 16 -> manyNulls();
            default -> NODES.textNode("a.b".repeat(3_000));
        };
    }

    private static JsonNode manyNulls() {
        ArrayNode many = NODES.arrayNode();
        for (int i = 0; i < 2_000; i++) {
            many.addNull();
        }
        return many;
    }

    private String oneOf(String... choices) {
        return choices[random.nextInt(choices.length)];
    }

    private static String shortened(String text) {
        return text == null ? "" : text.substring(0, Math.min(300, text.length()));
    }
}

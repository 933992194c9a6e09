package syntoma.app.instrument;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import syntoma.core.reply.Choices;
import syntoma.core.reply.Mapping;
import syntoma.core.reply.Node;
import syntoma.core.reply.Proposal;
import syntoma.core.reply.RouterReading;

/** A router that answers JSON over HTTP. */
final class HttpRouter implements RouterSource {
    static final Duration ANSWERS_WITHIN = Duration.ofSeconds(3);
    private static final int MOST_BYTES = 256 << 10;
    private static final int MOST_HOPS = 3;
    private static final ObjectMapper JSON = JsonMapper.builder().build();

    private final Routers.ReachedRouter router;
    private long moved;
    /** One for all: each would keep a thread of its own until it is collected. */
    private static final HttpClient CLIENT = HttpClient.newBuilder()
            .connectTimeout(ANSWERS_WITHIN)
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .build();

    HttpRouter(Routers.ReachedRouter router) {
        this.router = router;
    }

    @Override
    public RouterReading read() throws RouterException, InterruptedException {
        Node answer = answer();
        return (router.mapping().isEmpty() ? Proposal.of(answer) : router.mapping()).read(answer);
    }

    /** What is proposed for the router's answer, and the reading that follows by what is set, else by what is proposed. */
    TriedLogin attempt() throws RouterException, InterruptedException {
        Node answer = answer();
        Mapping proposed = Proposal.of(answer);
        Mapping used = router.mapping().isEmpty() ? proposed : router.mapping();
        return new TriedLogin(proposed, used.read(answer), Choices.of(answer, used));
    }

    record TriedLogin(Mapping proposed, RouterReading reading, Choices choices) {}

    private Node answer() throws RouterException, InterruptedException {
        long until = System.nanoTime() + ANSWERS_WITHIN.toNanos();
        URI at = router.uri();
        for (int hop = 0; hop <= MOST_HOPS; hop++) {
            HttpResponse<String> answer = ask(at, until);
            Optional<URI> elsewhere = redirect(at, answer);
            if (elsewhere.isEmpty()) {
                require(answer.statusCode(), at);
                return parse(answer.body());
            }
            at = elsewhere.get();
        }
        throw new RouterException("the router sends from one address to the next");
    }

    private HttpResponse<String> ask(URI at, long until) throws RouterException, InterruptedException {
        permit(router.permission(), at);
        HttpRequest.Builder request = HttpRequest.newBuilder(at).header("Accept", "application/json");
        if (isOwn(at) && !router.token().isEmpty()) {
            request.header("Authorization", "Bearer " + router.token());
        } else if (isOwn(at) && hasPassword()) {
            String pair = router.user() + ":" + router.password();
            request.header(
                    "Authorization",
                    "Basic " + Base64.getEncoder().encodeToString(pair.getBytes(StandardCharsets.UTF_8)));
        }
        HttpRequest sent = request.build();
        moved += bytes(sent.headers()) + at.getRawSchemeSpecificPart().length();
        CompletableFuture<HttpResponse<String>> asked = CLIENT.sendAsync(sent, info -> new BodyUpTo(MOST_BYTES));
        try {
            HttpResponse<String> answer = asked.get(Math.max(1, until - System.nanoTime()), TimeUnit.NANOSECONDS);
            moved += bytes(answer.headers()) + answer.body().getBytes(StandardCharsets.UTF_8).length;
            return answer;
        } catch (TimeoutException late) {
            throw RouterException.late(router.address());
        } catch (ExecutionException broken) {
            throw new RouterException(ConnectionFault.describe(broken, at, "the router"));
        } finally {
            asked.cancel(true);
        }
    }

    private boolean hasPassword() {
        return !router.user().isEmpty() || !router.password().isEmpty();
    }

    /** Secrets belong to scheme, host and port: whatever the router sends to elsewhere is asked without them. */
    private boolean isOwn(URI at) {
        URI own = router.uri();
        return own.getScheme().equals(at.getScheme())
                && own.getHost().equalsIgnoreCase(at.getHost())
                && port(own) == port(at);
    }

    private static int port(URI at) {
        int usual = "https".equals(at.getScheme()) ? 443 : 80;
        return at.getPort() < 0 ? usual : at.getPort();
    }

    static void permit(CallPermission permission, URI at) throws RouterException {
        try {
            permission.require(at.getHost());
        } catch (CallPermission.ForbiddenAddressException forbidden) {
            throw new RouterException(forbidden.getMessage());
        } catch (UnknownHostException unknown) {
            throw new RouterException(ConnectionFault.describe(unknown, at, "the router"));
        }
    }

    /** Where the router sends to, on its own host. */
    private static Optional<URI> redirect(URI from, HttpResponse<String> answer) throws RouterException {
        String location = answer.headers().firstValue("Location").orElse("");
        if (answer.statusCode() / 100 != 3 || location.isEmpty()) {
            return Optional.empty();
        }
        try {
            URI to = from.resolve(location);
            boolean http = "http".equals(to.getScheme()) || "https".equals(to.getScheme());
            if (http && from.getHost().equalsIgnoreCase(to.getHost())) {
                return Optional.of(to);
            }
        } catch (IllegalArgumentException none) {
            // said below
        }
        throw new RouterException("the router sends to another address, which is not followed");
    }

    private void require(int status, URI at) throws RouterException {
        if (status == 401 || status == 403) {
            boolean withheld = !isOwn(at) && (hasPassword() || !router.token().isEmpty());
            throw new RouterException(
                    withheld
                            ? "the router sends on to " + at.getScheme() + "://" + at.getRawAuthority()
                                    + ", which is not given the password of another address; set that address instead"
                            : "the router refused the log-in (status " + status
                                    + "); is the password or the token right?");
        }
        if (status / 100 != 2) {
            throw new RouterException("the router answers with status " + status);
        }
    }

    private static Node parse(String text) throws RouterException {
        if (text.length() >= MOST_BYTES) {
            throw new RouterException(
                    "the router answers with more than " + MOST_BYTES / 1024 + " kB; is the path right?");
        }
        try {
            JsonNode tree = JSON.readTree(text);
            if (tree == null || !tree.isContainerNode()) {
                throw new RouterException("the router's answer is no JSON object; is the path right?");
            }
            return node(tree);
        } catch (JsonProcessingException none) {
            throw new RouterException("the router's answer is no JSON, or half of one; is the path right?");
        }
    }

    private static Node node(JsonNode tree) {
        if (tree.isObject()) {
            Map<String, Node> parts = new LinkedHashMap<>();
            tree.properties().forEach(part -> parts.put(part.getKey(), node(part.getValue())));
            return new Node.Group(parts);
        }
        if (tree.isArray()) {
            List<Node> parts = new ArrayList<>();
            tree.forEach(part -> parts.add(node(part)));
            return new Node.Series(parts);
        }
        return new Node.Value(tree.isNull() ? "" : tree.asText());
    }

    /** Of headers, each with its colon, its space and the end of its line. */
    private static long bytes(HttpHeaders headers) {
        return headers.map().entrySet().stream()
                .flatMapToLong(line -> line.getValue().stream()
                        .mapToLong(value -> line.getKey().length() + value.length() + 4))
                .sum();
    }

    @Override
    public long bytesMoved() {
        long since = moved;
        moved = 0;
        return since;
    }

    @Override
    public void close() {
        // a connection that is idle ends by itself
    }
}

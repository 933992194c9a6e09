package syntoma.app.instrument;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.lang.Nullable;
import syntoma.app.platform.Daemons;
import syntoma.core.run.LoadedLatency;

/** Talks to one speed server for one run. Redirects are not followed. */
final class SpeedClient implements AutoCloseable {
    private static final Duration ANSWERS_WITHIN = Duration.ofSeconds(3);
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int LONGEST_ABOUT = 2_000;
    private static final int LET_IN_NOT = 401;
    private static final int TOO_MUCH = 413;
    private static final int TOO_MANY = 429;

    private final String run = UUID.randomUUID().toString();
    private final URI server;
    private final String key;
    private final CallPermission permission;
    private final ExecutorService workers = Daemons.cachedPool("speed-run");
    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(ANSWERS_WITHIN)
            .followRedirects(HttpClient.Redirect.NEVER)
            .version(HttpClient.Version.HTTP_1_1)
            .executor(workers)
            .build();

    SpeedClient(SpeedServers.ReachedServer set) {
        this.server = set.address();
        this.key = set.key();
        this.permission = set.permission();
    }

    /** What a speed server says it allows for one run. */
    @JsonIgnoreProperties(ignoreUnknown = true)
    record Allowance(@Nullable Integer speedServer, long bytes) {}

    /** Makes sure that there is a speed server, and that it lets this in. */
    Allowance greet() throws RunFailedException, InterruptedException {
        try {
            permission.require(server.getHost());
        } catch (CallPermission.ForbiddenAddressException | UnknownHostException refused) {
            throw new RunFailedException(
                    refused instanceof UnknownHostException ? describe(refused) : refused.getMessage());
        }
        CompletableFuture<HttpResponse<String>> asked =
                client.sendAsync(to("/").build(), info -> new BodyUpTo(LONGEST_ABOUT));
        try {
            HttpResponse<String> answer = asked.get(ANSWERS_WITHIN.toSeconds(), TimeUnit.SECONDS);
            require(answer.statusCode());
            Allowance allowance = JSON.readValue(answer.body(), Allowance.class);
            if (allowance.speedServer() == null || allowance.bytes() <= 0) {
                throw none();
            }
            return allowance;
        } catch (JsonProcessingException other) {
            throw none();
        } catch (TimeoutException late) {
            throw new RunFailedException(late());
        } catch (ExecutionException broken) {
            throw new RunFailedException(describe(broken));
        } finally {
            asked.cancel(true);
        }
    }

    /** Asks a short question. */
    LoadedLatency.Probe probe(double atMs) throws InterruptedException {
        long asked = System.nanoTime();
        try {
            HttpResponse<Void> answer =
                    client.send(to("/ping").timeout(ANSWERS_WITHIN).build(), HttpResponse.BodyHandlers.discarding());
            boolean answered = answer.statusCode() / 100 == 2;
            return new LoadedLatency.Probe(atMs, answered ? (System.nanoTime() - asked) / 1e6 : Double.NaN);
        } catch (IOException lost) {
            return new LoadedLatency.Probe(atMs, Double.NaN);
        }
    }

    /** A call of this run. */
    HttpRequest.Builder toRun(String path, String more) {
        return to(path + "?run=" + run + more);
    }

    private HttpRequest.Builder to(String pathAndQuery) {
        HttpRequest.Builder request = HttpRequest.newBuilder(server.resolve(pathAndQuery));
        return key.isEmpty() ? request : request.header("Authorization", "Bearer " + key);
    }

    HttpClient http() {
        return client;
    }

    /** Refuses an answer that is none. */
    void require(int status) throws RunFailedException {
        if (status / 100 == 2) {
            return;
        }
        throw new RunFailedException(
                switch (status) {
                    case LET_IN_NOT -> "the speed server asks for another key";
                    case TOO_MANY -> "the speed server has as many runs as it allows; try again in a minute";
                    case TOO_MUCH -> "the run took all that the speed server allows for one";
                    case 301, 302, 303, 307, 308 -> "the speed server sends elsewhere, which is not followed";
                    default -> "the speed server answers with status " + status;
                });
    }

    /** What went wrong on the way, in words. */
    String describe(Throwable broken) {
        return ConnectionFault.describe(broken, server, "the speed server");
    }

    private RunFailedException none() {
        return new RunFailedException(server + " answers, but it is no speed server of Syntoma’s");
    }

    private String late() {
        return server + " did not answer within " + ANSWERS_WITHIN.toSeconds() + " s";
    }

    @Override
    public void close() {
        workers.shutdownNow();
    }
}

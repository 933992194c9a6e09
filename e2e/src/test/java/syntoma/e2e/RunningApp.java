package syntoma.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;

/** The packaged application in a process of its own, on a free port. */
final class RunningApp implements AutoCloseable {
    private static final long STOP_WITHIN_S = 5;
    private static final int LEAST_PORT = 20_000;
    private static final int MOST_PORT = 32_000;

    private final Process process;
    private final int port;
    private final List<String> said;

    private RunningApp(Process process, int port, List<String> said) {
        this.process = process;
        this.port = port;
        this.said = said;
    }

    /** Starts it and waits for the line that says it is ready. */
    static RunningApp start(Path data, boolean demo) {
        return start(data, demo, "--syntoma.lan=false");
    }

    /** Starts it with another option, and waits for the line that says it is ready. */
    static RunningApp start(Path data, boolean demo, String option) {
        try {
            int port = freePort();
            Process process = launch(data, demo, port, option);
            List<String> said = Collections.synchronizedList(new ArrayList<>());
            BufferedReader out =
                    new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                said.add(line);
                if (line.contains("is ready at")) {
                    Thread drain = new Thread(() -> out.lines().forEach(said::add), "drain");
                    drain.setDaemon(true);
                    drain.start();
                    return new RunningApp(process, port, said);
                }
            }
            throw new AssertionError("the application ended: " + String.join("\n", said));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Starts it and ends it before long as a cut of power does, ready or not. */
    static void startAndKill(Path data, long afterMs) throws IOException, InterruptedException {
        Process process = launch(data, false, freePort(), "--syntoma.lan=false");
        process.getInputStream().close();
        process.waitFor(afterMs, TimeUnit.MILLISECONDS);
        process.destroyForcibly().waitFor();
    }

    /** A port that nobody listens at, below those that the system gives to connections while this one is not taken yet. */
    private static int freePort() {
        while (true) {
            int port = ThreadLocalRandom.current().nextInt(LEAST_PORT, MOST_PORT);
            try (ServerSocket free = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
                return free.getLocalPort();
            } catch (IOException taken) {
                // another one
            }
        }
    }

    /** Starts it where it must not start, and returns all that it says. */
    static String refusedStart(Path data, int port) throws Exception {
        return refusedStart(data, port, "--syntoma.lan=false");
    }

    static String refusedStart(Path data, int port, String option) throws Exception {
        Process process = launch(data, false, port, option);
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (!process.waitFor(30, TimeUnit.SECONDS) || process.exitValue() == 0) {
            throw new AssertionError("it was not refused: " + said);
        }
        return said.strip();
    }

    private static Process launch(Path data, boolean demo, int port, String option) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        // a test is over before the second compiler has paid for itself
                        "-XX:TieredStopAtLevel=1",
                        "@" + System.getProperty("syntoma.options"),
                        "--server.port=" + port,
                        "--syntoma.data=" + data,
                        "--syntoma.demo=" + demo,
                        option)
                .redirectErrorStream(true)
                .start();
    }

    /** Sets the pass phrase as ./syntoma phrase does, and returns what it says. */
    static String setPhrase(Path data, String phrase) throws Exception {
        Process process = launch(data, false, 1, "--syntoma.phrase=" + data);
        try (var in = process.getOutputStream()) {
            in.write((phrase + "\n").getBytes(StandardCharsets.UTF_8));
        }
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said.strip();
    }

    /** All that it has said. */
    String said() {
        return String.join("\n", said);
    }

    /** Ends it as a cut of power does. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    int port() {
        return port;
    }

    long pid() {
        return process.pid();
    }

    String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** The same over TLS, as a device on the network has it. */
    String tls(String path) {
        return "https://127.0.0.1:" + port + path;
    }

    /** Reads a text from the API, as a user's own script would. */
    String read(String path) {
        return new String(bytes(path), StandardCharsets.UTF_8);
    }

    /** Reads a file from the API. */
    byte[] bytes(String path) {
        try {
            return asked(HttpRequest.newBuilder(URI.create(address(path))).build())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Sends something, and returns the status of the answer.
     *
     * @throws IOException when there is none, as when it is killed meanwhile
     */
    int send(String method, String path, String type, byte[] body) throws IOException {
        return asked(HttpRequest.newBuilder(URI.create(address(path)))
                        .header("Content-Type", type)
                        .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
                        .build())
                .statusCode();
    }

    private static HttpResponse<byte[]> asked(HttpRequest request) throws IOException {
        try {
            return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofByteArray());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new AssertionError(e);
        }
    }

    /** Ends it as an operating system does, and fails when that takes longer than promised. */
    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(STOP_WITHIN_S, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new AssertionError("it did not end within " + STOP_WITHIN_S + " s");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}

package syntoma.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Arrays;

/** The application in a process of its own. */
record RunningApp(Process process, int port) implements AutoCloseable {
    private static final int TYPED = 200;
    /**
     * What a typed measurement takes, in ms.
     *
     * @param usual the median
     * @param late the 95th percentile
     * @param force how much longer the median is than that of one that is only checked: the store with its force
     */
    record Typed(double usual, double late, double force) {}

    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    static RunningApp start(Path start, Path data, Path collections) throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            port = free.getLocalPort();
        }
        Process process = new ProcessBuilder(
                        "java",
                        "-Xlog:gc:file=" + collections,
                        "@" + start.resolve("java.options"),
                        "--server.port=" + port,
                        "--syntoma.data=" + data)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        String line = out.readLine();
        while (line != null && !line.contains("is ready at")) {
            line = out.readLine();
        }
        if (line == null) {
            throw new IOException("the application did not start");
        }
        return new RunningApp(process, port);
    }

    void export(Path dir) throws Exception {
        CLIENT.send(
                request("/api/measurements.csv").build(), HttpResponse.BodyHandlers.ofFile(dir.resolve("export.csv")));
    }

    /** Types measurements from a day on, and checks as many; the first half warms up. */
    Typed typed(String day) throws Exception {
        double[] kept = new double[TYPED];
        double[] checked = new double[TYPED];
        for (int i = 0; i < 2 * TYPED; i++) {
            String body = "{\"takenAt\":\"%s\",\"campsite\":\"Quarry Lake\",\"setup\":\"Roof dome\","
                            .formatted(OffsetDateTime.parse(day + "T00:00:00+02:00")
                                    .plusMinutes(i))
                    + "\"outcome\":\"ok\",\"rsrpDbm\":\"-90\"}";
            long start = System.nanoTime();
            post("/api/measurements", body);
            kept[i % TYPED] = 1e3 * LogBench.seconds(start);
            start = System.nanoTime();
            post("/api/measurements/check", body);
            checked[i % TYPED] = 1e3 * LogBench.seconds(start);
        }
        Arrays.sort(kept);
        Arrays.sort(checked);
        return new Typed(kept[TYPED / 2], kept[TYPED * 95 / 100], kept[TYPED / 2] - checked[TYPED / 2]);
    }

    /** Fills the empty log with the demo. */
    void showDemo() throws Exception {
        post("/api/demo", "");
    }

    private void post(String path, String body) throws Exception {
        int status = CLIENT.send(
                        request(path)
                                .header("Content-Type", "application/json")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
        if (status >= 300) {
            throw new IOException(path + " answered " + status);
        }
    }

    /** Remembers how tables of some headings are read. */
    void remember(String reading) throws Exception {
        int status = CLIENT.send(
                        request("/api/measurements/import/columns")
                                .header("Content-Type", "application/json")
                                .PUT(HttpRequest.BodyPublishers.ofString(reading))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
        if (status >= 300) {
            throw new IOException("the reading of a table was answered with " + status);
        }
    }

    void send(Path file, int rows) throws Exception {
        String report = CLIENT.send(
                        request("/api/measurements/import")
                                .header("Content-Type", "text/csv")
                                .POST(HttpRequest.BodyPublishers.ofFile(file))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        if (!report.contains("\"accepted\":" + rows + ",")) {
            throw new IOException(
                    "not all of " + rows + " rows were taken: " + report.substring(0, Math.min(400, report.length())));
        }
    }

    /** Calls with JSON, or with nothing; what is answered, which is no refusal. */
    String call(String method, String path, String body) throws Exception {
        HttpResponse<String> answer = CLIENT.send(
                request(path)
                        .header("Content-Type", "application/json")
                        .method(
                                method,
                                body == null
                                        ? HttpRequest.BodyPublishers.noBody()
                                        : HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IOException(path + " answered " + answer.statusCode() + ": " + answer.body());
        }
        return answer.body();
    }

    /** The time that it has had of the processor. */
    double cpuMs() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO).toMillis();
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}

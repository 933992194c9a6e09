package syntoma.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Writer;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Import and export of the running application, each against what H2's own CSVREAD and CSVWRITE do with the same rows in a
 * table of the same shape, in the same run; and the heap that an import of a million rows takes.
 */
final class LogBench {
    private static final int ROWS = 100_000;
    private static final int TIMES = 4;
    private static final int TYPED = 200;
    private static final int MANY_ROWS = 1_000_000;
    private static final double LEAST_RATIO = 1.0 / 3;
    private static final Pattern BEFORE_COLLECTION = Pattern.compile("(\\d+)M->\\d+M\\(");

    /** Seconds are always written: H2 reads no time without them. */
    private static final DateTimeFormatter WITH_SECONDS = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm:ssxxx");

    private LogBench() {}

    static void run(Path start) throws Exception {
        Path dir = Files.createTempDirectory("syntoma-bench");
        try {
            Path[] files = new Path[TIMES];
            for (int i = 0; i < TIMES; i++) {
                files[i] = write(dir.resolve("rows" + i + ".csv"), 2010 + i, ROWS);
            }
            double[] h2 = h2(dir, files);
            double[] own;
            Typed few;
            Typed many;
            try (App app = App.start(start, dir.resolve("log"), dir.resolve("gc.txt"))) {
                few = app.typed("2025-08-01");
                own = app.importAndExport(files);
                many = app.typed("2026-08-01");
            }
            double in = h2[0] / own[0];
            double out = h2[1] / own[1];
            Bench.report(
                    "import of 100,000 rows, rate against CSVREAD", in, "times", "at least 1/3", in >= LEAST_RATIO);
            Bench.report(
                    "export of 400,000 rows, rate against CSVWRITE", out, "times", "at least 1/3", out >= LEAST_RATIO);

            Bench.report("a typed measurement, 95th percentile", many.late(), "ms", "under 60 ms", many.late() < 60);
            Bench.report(
                    "the same over 400,000 measurements, median", many.usual(), "ms", "under 20 ms", many.usual() < 20);
            double grown = many.usual() / few.usual();
            Bench.report("the same, against a log of a few hundred", grown, "times", "at most 1.3", grown <= 1.3);
            Bench.report(
                    "the store and its force within it, median", many.force(), "ms", "under 30 ms", many.force() < 30);

            StartBench.run(start, dir);
            StartBench.withLog(start, dir, dir.resolve("log"), "400,000");

            Path large = write(dir.resolve("large.csv"), 2000, MANY_ROWS);
            Path collections = dir.resolve("gc-large.txt");
            try (App app = App.start(start, dir.resolve("large"), collections)) {
                app.send(large, MANY_ROWS);
            }
            double peak = peakHeapMb(collections);
            Bench.report("peak heap of an import of 1,000,000 rows", peak, "MB", "under 512 MB", peak < 512);
        } finally {
            try (Stream<Path> all = Files.walk(dir)) {
                for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(path);
                }
            }
        }
    }

    /**
     * What a typed measurement takes, in ms.
     *
     * @param usual the median
     * @param late the 95th percentile
     * @param force how much longer the median is than that of one that is only checked: the store with its force
     */
    private record Typed(double usual, double late, double force) {}

    /** Rows of a made-up log, one every five minutes from a year's beginning. */
    private static Path write(Path file, int year, int rows) throws IOException {
        Random random = new Random(year);
        OffsetDateTime start = OffsetDateTime.parse(year + "-01-01T00:00:00+02:00");
        List<String> setups = List.of("Roof dome", "Mast panel", "Window whips", "Bittern booster");
        List<String> sites = List.of("Quarry Lake", "Amber Spit", "Birch Hollow", "Sawmill Yard", "Juniper Ridge");
        try (Writer out = Files.newBufferedWriter(file)) {
            out.write("taken_at,campsite,setup,carrier,rat,band,rsrp_dbm,rsrq_db,sinr_db,down_mbps,up_mbps,idle_ms,"
                    + "up_loaded_ms,server,outcome,note\n");
            for (int i = 0; i < rows; i++) {
                out.write(String.format(
                        Locale.ROOT,
                        "%s,%s,%s,Tarnwave,LTE,B20,%d,%.1f,%.1f,%.2f,%.2f,%d,%d,harbour-1,ok,%s%n",
                        start.plusSeconds(i * 300L).format(WITH_SECONDS),
                        sites.get(i / 500 % sites.size()),
                        setups.get(i % setups.size()),
                        -80 - random.nextInt(40),
                        -8 - random.nextDouble() * 10,
                        random.nextDouble() * 25,
                        1 + random.nextDouble() * 60,
                        0.5 + random.nextDouble() * 20,
                        30 + random.nextInt(80),
                        60 + random.nextInt(300),
                        i % 10 == 0 ? "rain" : ""));
            }
        }
        return file;
    }

    /** Median seconds of CSVREAD and of CSVWRITE; the first time warms up. */
    private static double[] h2(Path dir, Path[] files) throws SQLException {
        double[] in = new double[files.length];
        double[] out = new double[files.length];
        try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + dir.resolve("reference"), "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute("create table log (id bigint generated by default as identity primary key,"
                    + " taken_at timestamp(9) with time zone not null, campsite varchar(120) not null,"
                    + " setup varchar(120) not null, carrier varchar(120), rat varchar(8), band varchar(16),"
                    + " rsrp_dbm double precision, rsrq_db double precision, sinr_db double precision,"
                    + " down_mbps double precision, up_mbps double precision, idle_ms double precision,"
                    + " up_loaded_ms double precision, server varchar(200), outcome varchar(12) not null,"
                    + " note varchar(4000))");
            sql.execute("create index log_by_campsite on log (campsite, taken_at)");
            sql.execute("create index log_by_time on log (taken_at, id, campsite)");
            String columns = "taken_at, campsite, setup, carrier, rat, band, rsrp_dbm, rsrq_db, sinr_db, down_mbps,"
                    + " up_mbps, idle_ms, up_loaded_ms, server, outcome, note";
            for (int i = 0; i < files.length; i++) {
                long start = System.nanoTime();
                sql.execute(
                        "insert into log (" + columns + ") select " + columns + " from csvread('" + files[i] + "')");
                in[i] = seconds(start);
            }
            for (int i = 0; i < files.length; i++) {
                long start = System.nanoTime();
                sql.execute("call csvwrite('" + dir.resolve("out.csv") + "', 'select " + columns
                        + " from log order by taken_at, setup, carrier')");
                out[i] = seconds(start);
            }
        }
        return new double[] {median(in), median(out)};
    }

    private static double peakHeapMb(Path collections) throws IOException {
        double peak = 0;
        for (String line : Files.readAllLines(collections)) {
            Matcher before = BEFORE_COLLECTION.matcher(line);
            if (before.find()) {
                peak = Math.max(peak, Double.parseDouble(before.group(1)));
            }
        }
        return peak;
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    /** The median of all but the first. */
    private static double median(double[] values) {
        double[] sorted = Arrays.stream(values).skip(1).sorted().toArray();
        return sorted[sorted.length / 2];
    }

    /** The application in a process of its own. */
    private record App(Process process, int port) implements AutoCloseable {
        private static final HttpClient CLIENT = HttpClient.newHttpClient();

        static App start(Path start, Path data, Path collections) throws IOException {
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
            return new App(process, port);
        }

        /** Median seconds of an import and of an export of all rows; the first time warms up. */
        double[] importAndExport(Path[] files) throws Exception {
            double[] in = new double[files.length];
            double[] out = new double[files.length];
            for (int i = 0; i < files.length; i++) {
                long start = System.nanoTime();
                send(files[i], ROWS);
                in[i] = seconds(start);
            }
            for (int i = 0; i < files.length; i++) {
                long start = System.nanoTime();
                CLIENT.send(
                        request("/api/measurements.csv").build(),
                        HttpResponse.BodyHandlers.ofFile(files[0].resolveSibling("export.csv")));
                out[i] = seconds(start);
            }
            return new double[] {median(in), median(out)};
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
                kept[i % TYPED] = 1e3 * seconds(start);
                start = System.nanoTime();
                post("/api/measurements/check", body);
                checked[i % TYPED] = 1e3 * seconds(start);
            }
            Arrays.sort(kept);
            Arrays.sort(checked);
            return new Typed(kept[TYPED / 2], kept[TYPED * 95 / 100], kept[TYPED / 2] - checked[TYPED / 2]);
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

        void send(Path file, int rows) throws Exception {
            String report = CLIENT.send(
                            request("/api/measurements/import")
                                    .header("Content-Type", "text/csv")
                                    .POST(HttpRequest.BodyPublishers.ofFile(file))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
            if (!report.contains("\"accepted\":" + rows + ",")) {
                throw new IOException("not all of " + rows + " rows were taken: "
                        + report.substring(0, Math.min(400, report.length())));
            }
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
}

package syntoma.bench;

import java.io.IOException;
import java.io.Writer;
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
    private static final int TIMES = 6;
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
            RunningApp.Typed few;
            RunningApp.Typed many;
            try (RunningApp app = RunningApp.start(start, dir.resolve("log"), dir.resolve("gc.txt"));
                    Reference h2 = Reference.open(dir)) {
                few = app.typed("2025-08-01");
                double in = medianRatio(files, h2::read, file -> app.send(file, ROWS));
                Bench.report(
                        "import of 100,000 rows, rate against CSVREAD", in, "times", "at least 1/3", in >= LEAST_RATIO);
                double out = medianRatio(files, file -> h2.write(dir), file -> app.export(dir));
                Bench.report(
                        "export of 600,000 rows, rate against CSVWRITE",
                        out,
                        "times",
                        "at least 1/3",
                        out >= LEAST_RATIO);
                many = app.typed("2026-08-01");
                PlannerBench.run(app);
                RoofBench.run(app);
            }

            Bench.report("a typed measurement, 95th percentile", many.late(), "ms", "under 60 ms", many.late() < 60);
            Bench.report(
                    "the same over 600,000 measurements, median", many.usual(), "ms", "under 20 ms", many.usual() < 20);
            double grown = many.usual() / few.usual();
            Bench.report("the same, against a log of a few hundred", grown, "times", "at most 1.3", grown <= 1.3);
            Bench.report(
                    "the store and its force within it, median", many.force(), "ms", "under 30 ms", many.force() < 30);

            TripBench.run(start, dir);
            TableBench.run(start, dir, files);
            StartBench.run(start, dir);
            StartBench.withLog(start, dir, dir.resolve("log"), "600,000");

            Path large = write(dir.resolve("large.csv"), 2000, MANY_ROWS);
            Path collections = dir.resolve("gc-large.txt");
            try (RunningApp app = RunningApp.start(start, dir.resolve("large"), collections)) {
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

    interface Work {
        void on(Path file) throws Exception;
    }

    /**
     * How many times as fast the second does its work as the first. They take turns, file by file, so that a machine that is
     * busy for a while is so for both; the first file warms up.
     */
    static double medianRatio(Path[] files, Work reference, Work own) throws Exception {
        double[] ratios = new double[files.length];
        for (int i = 0; i < files.length; i++) {
            ratios[i] = seconds(reference, files[i]) / seconds(own, files[i]);
        }
        Arrays.sort(ratios, 1, ratios.length);
        return ratios[(1 + ratios.length) / 2];
    }

    private static double seconds(Work work, Path file) throws Exception {
        long start = System.nanoTime();
        work.on(file);
        return seconds(start);
    }

    /**
     * A table of the same shape in H2 alone, filled and written by its own functions. As with the application, rows count as
     * read once they are on disk; what H2 would else write later, it would write while the application is timed.
     */
    private record Reference(Connection connection) implements AutoCloseable {
        private static final String COLUMNS = "taken_at, campsite, setup, carrier, rat, band, rsrp_dbm, rsrq_db,"
                + " sinr_db, down_mbps, up_mbps, idle_ms, up_loaded_ms, server, outcome, note";

        static Reference open(Path dir) throws SQLException {
            Reference reference =
                    new Reference(DriverManager.getConnection("jdbc:h2:file:" + dir.resolve("reference"), "sa", ""));
            reference.run("create table log (id bigint generated by default as identity primary key,"
                    + " taken_at timestamp(9) with time zone not null, campsite varchar(120) not null,"
                    + " setup varchar(120) not null, carrier varchar(120), rat varchar(8), band varchar(16),"
                    + " rsrp_dbm double precision, rsrq_db double precision, sinr_db double precision,"
                    + " down_mbps double precision, up_mbps double precision, idle_ms double precision,"
                    + " up_loaded_ms double precision, server varchar(200), outcome varchar(12) not null,"
                    + " note varchar(4000))");
            reference.run("create index log_by_campsite on log (campsite, taken_at)");
            reference.run("create index log_by_time on log (taken_at, id, campsite)");
            return reference;
        }

        void read(Path file) throws SQLException {
            run("insert into log (" + COLUMNS + ") select " + COLUMNS + " from csvread('" + file + "')");
            run("checkpoint sync");
        }

        void write(Path dir) throws SQLException {
            run("call csvwrite('" + dir.resolve("out.csv") + "', 'select " + COLUMNS
                    + " from log order by taken_at, setup, carrier')");
        }

        private void run(String statement) throws SQLException {
            try (Statement sql = connection.createStatement()) {
                sql.execute(statement);
            }
        }

        @Override
        public void close() throws SQLException {
            connection.close();
        }
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

    static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }
}

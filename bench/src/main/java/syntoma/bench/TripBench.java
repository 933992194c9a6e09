package syntoma.bench;

import java.io.IOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** What a season of 100,000 measurements at 2,000 stays says, and its stays as a list and on the map, through the API. */
final class TripBench {
    private static final int ROWS = 100_000;
    private static final int STAYS = 2_000;
    private static final int WARM = 12;
    private static final int TIMES = 40;
    private static final double LATE = 0.95;
    private static final double FINDINGS_MS = 200;
    private static final double LIST_MS = 100;
    private static final List<String> SETUPS =
            List.of("Roof dome", "Mast panel", "Window whips", "Bittern booster", "Inside", "Second dome");
    private static final List<String> CARRIERS = List.of("Tarnwave", "Ostrel", "Brissa");

    private TripBench() {}

    static void run(Path start, Path dir) throws Exception {
        Path log = write(dir.resolve("season.csv"));
        try (RunningApp app = RunningApp.start(start, dir.resolve("season"), dir.resolve("gc-season.txt"))) {
            app.send(log, ROWS);
            double findings = late(app, "/api/findings?metric=up&baseline=Roof%20dome");
            Bench.report(
                    "findings over 100,000 measurements, 95th percentile",
                    findings,
                    "ms",
                    "under 200 ms",
                    findings < FINDINGS_MS);
            double all = late(app, "/api/logbook");
            Bench.report("2,000 stays as list and map, 95th percentile", all, "ms", "under 100 ms", all < LIST_MS);
            double few = late(app, "/api/logbook?carrier=Ostrel&when=evening&strength=fair");
            Bench.report("the same by three filters, 95th percentile", few, "ms", "under 100 ms", few < LIST_MS);
        }
    }

    /** The 95th percentile of a call once it is warm. */
    private static double late(RunningApp app, String path) throws Exception {
        double[] ms = new double[TIMES];
        for (int i = 0; i < WARM + TIMES; i++) {
            long begun = System.nanoTime();
            app.call("GET", path, null);
            if (i >= WARM) {
                ms[i - WARM] = (System.nanoTime() - begun) / 1e6;
            }
        }
        Arrays.sort(ms);
        return ms[(int) Math.ceil(LATE * TIMES) - 1];
    }

    private static Path write(Path file) throws IOException {
        Random random = new Random(16);
        OffsetDateTime at = OffsetDateTime.parse("2016-01-01T08:00:00+02:00");
        try (Writer out = Files.newBufferedWriter(file)) {
            out.write("taken_at,campsite,lat,lon,setup,carrier,rat,band,rsrp_dbm,down_mbps,up_mbps,outcome\n");
            for (int row = 0; row < ROWS; row++) {
                int stay = row / (ROWS / STAYS);
                int setup = random.nextInt(SETUPS.size());
                double up = Math.exp(1.5 + stay % 7 * 0.2 + setup * 0.1 + random.nextGaussian() * 0.3);
                at = at.plusMinutes(row % (ROWS / STAYS) == 0 ? 30 * 60 : 5 + random.nextInt(30));
                out.write(String.format(
                        Locale.ROOT,
                        "%s,Camp %d,%d,%d,%s,%s,LTE,B20,%d,%.2f,%.2f,ok%n",
                        at,
                        stay % 1500,
                        40 + stay % 25,
                        stay % 40,
                        SETUPS.get(setup),
                        CARRIERS.get(random.nextInt(CARRIERS.size())),
                        -85 - stay % 30 - random.nextInt(6),
                        up * 4,
                        up));
            }
        }
        return file;
    }
}

package syntoma.bench;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** How soon the planner answers while the fields of a trial of six contenders change. */
final class PlannerBench {
    private static final int CONTENDERS = 6;
    private static final int ASKED = 60;
    private static final double PROMISED_MS = 300;

    private PlannerBench() {}

    /** Asks an application that has a log. */
    static void run(RunningApp app) throws Exception {
        for (int i = 0; i < CONTENDERS; i++) {
            app.call("POST", "/api/setups", "{\"name\":\"Contender " + i + "\"}");
        }
        String contenders = IntStream.range(0, CONTENDERS)
                .mapToObj(i -> "{\"setup\":\"Contender " + i + "\",\"carrier\":\"Tarnwave\"}")
                .collect(Collectors.joining(",", "[", "]"));
        double[] ms = new double[ASKED];
        // the first half warms up
        for (int i = 0; i < 2 * ASKED; i++) {
            String asked = String.format(
                    Locale.ROOT,
                    "{\"contenders\":%s,\"difference\":%.2f,\"minutes\":%d,\"gb\":2,\"seed\":%d}",
                    contenders,
                    1.3 + i % 20 * 0.05,
                    60 + i,
                    i);
            long start = System.nanoTime();
            app.call("POST", "/api/trials/design", asked);
            ms[i % ASKED] = 1e3 * LogBench.seconds(start);
        }
        Arrays.sort(ms);
        double late = ms[ASKED * 95 / 100];
        Bench.report(
                "a trial of six contenders planned, 95th percentile", late, "ms", "under 300 ms", late < PROMISED_MS);
    }
}

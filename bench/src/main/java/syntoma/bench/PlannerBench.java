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

    /** Asks something. */
    interface Asking {
        void ask(int i) throws Exception;
    }

    /** What 19 of 20 answers take at most, in ms; as many are asked before, to warm up. */
    static double late(int asked, Asking asking) throws Exception {
        double[] ms = new double[asked];
        for (int i = 0; i < 2 * asked; i++) {
            long start = System.nanoTime();
            asking.ask(i);
            ms[i % asked] = 1e3 * LogBench.seconds(start);
        }
        Arrays.sort(ms);
        return ms[asked * 95 / 100];
    }

    /** Asks an application that has a log. */
    static void run(RunningApp app) throws Exception {
        for (int i = 0; i < CONTENDERS; i++) {
            app.call("POST", "/api/setups", "{\"name\":\"Contender " + i + "\"}");
        }
        String contenders = IntStream.range(0, CONTENDERS)
                .mapToObj(i -> "{\"setup\":\"Contender " + i + "\",\"carrier\":\"Tarnwave\"}")
                .collect(Collectors.joining(",", "[", "]"));
        double late = late(
                ASKED,
                i -> app.call(
                        "POST",
                        "/api/trials/design",
                        String.format(
                                Locale.ROOT,
                                "{\"contenders\":%s,\"difference\":%.2f,\"minutes\":%d,\"gb\":2,\"seed\":%d}",
                                contenders,
                                1.3 + i % 20 * 0.05,
                                60 + i,
                                i)));
        Bench.report(
                "a trial of six contenders planned, 95th percentile", late, "ms", "under 300 ms", late < PROMISED_MS);
    }
}

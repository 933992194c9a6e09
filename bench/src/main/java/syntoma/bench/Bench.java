package syntoma.bench;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs every benchmark and prints one line each: what was measured, what is promised, and whether it holds. */
public final class Bench {
    private static final List<String> LINES = new ArrayList<>();
    private static boolean allHold = true;

    private Bench() {}

    /** Takes the packaged application as its only argument; ends with status 1 when a promise is not kept. */
    public static void main(String[] args) throws Exception {
        for (RunResult result : new Runner(new OptionsBuilder()
                        .include(CoreBench.class.getName())
                        .include(RigBench.class.getName())
                        .include(RoofBench.class.getName())
                        .include(TonightBench.class.getName())
                        .build())
                .run()) {
            String name = result.getPrimaryResult().getLabel();
            double ms = result.getPrimaryResult().getScore();
            Promise promise = Promise.of(name);
            report(promise.says(), ms, "ms", "under " + promise.belowMs() + " ms", ms < promise.belowMs());
        }
        LogBench.run(Path.of(args[0]));
        PageBench.run(Path.of(args[0]));
        RunBench.run(Path.of(args[0]));
        System.out.println();
        LINES.forEach(System.out::println);
        if (!allHold) {
            System.exit(1);
        }
    }

    /** What is promised of a benchmark of the core. */
    private enum Promise {
        COMPARE("compare over 100,000 measurements", 50),
        FIT_CHECK("fit check of one chain", 2),
        CANDIDATES("candidates: 6 setups over all bands", 30),
        PLACEMENT("best places on 7.5 × 2.4 m with 15 things", 50),
        ADVICE("advice: 300 options over 2,000 stays", 200),
        STATUS_TEXT("1 MB of a pasted status page read", 200);

        private final String says;
        private final double belowMs;

        Promise(String says, double belowMs) {
            this.says = says;
            this.belowMs = belowMs;
        }

        static Promise of(String method) {
            return valueOf(method.replaceAll("([A-Z])", "_$1").toUpperCase(Locale.ROOT));
        }

        String says() {
            return says;
        }

        double belowMs() {
            return belowMs;
        }
    }

    static void report(String what, double value, String unit, String promised, boolean holds) {
        allHold &= holds;
        LINES.add(String.format(
                Locale.ROOT, "%-4s %-52s %10.3f %-8s %s", holds ? "ok" : "MISS", what, value, unit, promised));
    }
}

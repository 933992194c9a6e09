package syntoma.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Shell;
import syntoma.core.roof.Cabling;
import syntoma.core.roof.Foot;
import syntoma.core.roof.Rect;
import syntoma.core.roof.Roof;
import syntoma.core.roof.Search;
import syntoma.core.roof.Spot;
import syntoma.core.roof.Thing;

/** The best places on a large roof with much on it, and how soon a plan is calculated while something on it is dragged. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RoofBench {
    private static final int THINGS = 15;
    private static final int ASKED = 60;
    private static final double PROMISED_MS = 100;
    private static final double LENGTH_M = 7.5;
    private static final double WIDTH_M = 2.4;

    private final Search search = new Search(
            new Roof(LENGTH_M, WIDTH_M, Shell.STEEL, 30, true, 2.9, 4, things(RoofBench::thing)),
            new Foot("Alder", 0.2, 0.2, 0.1, 0.5, 0.2, 0, Foot.Fixing.DRILLED, 20),
            new Cabling(
                    new Spot(6, 0.4), 1, Optional.empty(), List.of(), 3, 0.3, 0.2, CableClass.of("195-class"), 1800));

    private static <T> List<T> things(IntFunction<T> thing) {
        return IntStream.range(0, THINGS).mapToObj(thing).toList();
    }

    private static double x(int i) {
        return 0.3 + i % 5 * 1.4;
    }

    private static double y(int i) {
        return 0.15 + i / 5 * 0.75;
    }

    private static Thing thing(int i) {
        return new Thing(Thing.Kind.PANEL, "Panel " + i, new Rect(x(i), y(i), 0.6, 0.4), 0.05 + i % 3 * 0.1, 0, 0);
    }

    @Benchmark
    public Search.SearchResult placement() {
        return search.find();
    }

    /** Asks an application as the drawing does, each time with the antenna a little further. */
    static void run(RunningApp app) throws Exception {
        String things = things(i -> String.format(
                        Locale.ROOT,
                        "{\"kind\":\"panel\",\"name\":\"Panel %d\",\"x\":%.2f,\"y\":%.2f,\"lengthM\":0.6,\"widthM\":0.4}",
                        i,
                        x(i),
                        y(i)))
                .stream()
                .collect(Collectors.joining(","));
        String plan = "{\"lengthM\":" + LENGTH_M + ",\"widthM\":" + WIDTH_M + ",\"things\":[" + things
                + "],\"antenna\":{\"name\":\"Alder\",\"lengthM\":0.2,\"widthM\":0.2,\"heightM\":0.1,\"x\":%.2f,\"y\":1.2},"
                + "\"cable\":{\"deviceX\":6,\"deviceY\":0.4},\"leads\":{\"count\":4,\"cableMm\":5,\"plugMm\":9}}";
        double late = PlannerBench.late(
                ASKED, i -> app.call("POST", "/api/fitout/assessment", String.format(Locale.ROOT, plan, i % 70 * 0.1)));
        Bench.report(
                "a roof plan calculated while it is dragged, 95th pct.",
                late,
                "ms",
                "under 100 ms",
                late < PROMISED_MS);
    }
}

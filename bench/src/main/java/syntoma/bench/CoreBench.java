package syntoma.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;

/** The arithmetic of the core on large inputs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBench {
    private static final int MEASUREMENTS = 100_000;

    private Comparer comparer;

    /** Two setups in turn every seven minutes, over four hundred stays. */
    @Setup
    public void log() {
        Random random = new Random(7);
        Instant start = Instant.parse("2024-01-01T00:00:00Z");
        List<Sample> samples = new ArrayList<>(MEASUREMENTS);
        for (int i = 0; i < MEASUREMENTS; i++) {
            samples.add(new Sample(
                    start.plusSeconds(i * 420L),
                    i / 250,
                    "Tarnwave",
                    i % 2 == 0 ? "Roof dome" : "Mast panel",
                    "",
                    OptionalInt.empty(),
                    "B20",
                    true,
                    OptionalDouble.of(Math.exp(1 + 0.4 * random.nextGaussian() + 0.5 * (i % 2)))));
        }
        comparer = Comparer.unplanned(Figure.UP_MBPS, samples);
    }

    @Benchmark
    public Comparison compare() {
        return comparer.pair("Roof dome", "Mast panel");
    }
}

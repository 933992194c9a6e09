package syntoma.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
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
import syntoma.core.advice.AdvisedOption;
import syntoma.core.advice.DayPart;
import syntoma.core.advice.Experience;
import syntoma.core.advice.Option;
import syntoma.core.advice.Outlook;
import syntoma.core.advice.PastMeasurement;
import syntoma.core.advice.StayContext;
import syntoma.core.statustext.StatusText;

/** What an evening asks: advice over a long log with many setups and SIMs, and a long pasted page. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class TonightBench {
    private static final int SETUPS = 100;
    private static final int CARRIERS = 3;
    private static final int STAYS = 2_000;
    private static final int RUNS = 10;
    private static final int TEXT = 1_000_000;
    private static final Outlook.RunRequirement CALLS = new Outlook.RunRequirement(
            OptionalDouble.of(3), OptionalDouble.of(3), OptionalDouble.of(250), OptionalDouble.of(2));

    private final List<Option> options = options();
    private final Experience experience = Experience.of(log(options), options, Optional.empty());
    private final String page = page();
    private int asked;

    private static List<Option> options() {
        List<Option> options = new ArrayList<>();
        for (int setup = 0; setup < SETUPS; setup++) {
            for (int carrier = 0; carrier < CARRIERS; carrier++) {
                options.add(new Option(
                        "Setup " + setup,
                        "Carrier " + carrier,
                        OptionalDouble.of(setup % 12),
                        setup % 20,
                        OptionalDouble.empty(),
                        OptionalDouble.empty()));
            }
        }
        return options;
    }

    private static List<PastMeasurement> log(List<Option> options) {
        Random random = new Random(4);
        List<PastMeasurement> log = new ArrayList<>();
        for (int stay = 0; stay < STAYS; stay++) {
            for (int run = 0; run < RUNS; run++) {
                Option option = options.get(random.nextInt(options.size()));
                log.add(new PastMeasurement(
                        option.setup(),
                        option.carrier(),
                        stay / 3,
                        stay,
                        log.size(),
                        DayPart.values()[run % 3],
                        random.nextInt(30) > 0,
                        false,
                        OptionalDouble.of(-120 + random.nextInt(50)),
                        OptionalDouble.of(random.nextInt(20)),
                        OptionalDouble.of(Math.exp(3 + random.nextGaussian())),
                        OptionalDouble.of(Math.exp(1 + random.nextGaussian())),
                        OptionalDouble.of(200),
                        OptionalDouble.of(0.2)));
            }
        }
        return log;
    }

    private static String page() {
        Random random = new Random(3);
        StringBuilder page = new StringBuilder();
        while (page.length() < TEXT) {
            page.append("LTE band B").append(1 + random.nextInt(40));
            page.append(" EARFCN ").append(random.nextInt(9_000));
            page.append(" PCI ").append(random.nextInt(500));
            page.append(" RSRP -")
                    .append(60 + random.nextInt(70))
                    .append(" dBm RSRQ -")
                    .append(random.nextInt(20));
            page.append(" SINR ").append(random.nextInt(30)).append('\n');
        }
        return page.toString();
    }

    /** All options here and at a campsite where one has never been, each time at another one. */
    @Benchmark
    public List<AdvisedOption> advice() {
        StayContext here = new StayContext(asked % (STAYS / 3), asked * 3L % STAYS, DayPart.EVENING);
        asked++;
        List<AdvisedOption> ranked = AdvisedOption.rank(advised(here));
        List<AdvisedOption> elsewhere = AdvisedOption.rank(advised(StayContext.elsewhere(DayPart.EVENING)));
        return List.of(ranked.get(0), elsewhere.get(0));
    }

    private List<AdvisedOption> advised(StayContext here) {
        List<Outlook> outlooks = experience.outlooks(options, here);
        return IntStream.range(0, options.size())
                .mapToObj(
                        i -> AdvisedOption.of(options.get(i), outlooks.get(i), CALLS, experience.runs(options.get(i))))
                .toList();
    }

    @Benchmark
    public StatusText statusText() {
        return StatusText.read(page);
    }
}

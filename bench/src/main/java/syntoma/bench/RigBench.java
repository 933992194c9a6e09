package syntoma.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Span;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.GainRange;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Plugging;
import syntoma.core.chain.Port;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Settings;
import syntoma.core.chain.Shell;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Use;
import syntoma.core.chain.Vehicle;
import syntoma.core.choice.Candidate;
import syntoma.core.choice.ChoiceLimits;
import syntoma.core.choice.Option;
import syntoma.core.choice.Ranking;
import syntoma.core.choice.Weights;
import syntoma.core.fit.Demand;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;

/** What the core does while a slider moves: one fit check, and six setups side by side over all bands there are. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RigBench {
    private static final int SETUPS = 6;
    private static final Demand DEMAND =
            new Demand(OptionalDouble.of(8), OptionalDouble.of(3), 90, List.of(Feature.VPN));

    private final List<Band> bands = Bands.all();
    private List<Chain> chains;

    /** Routers of four ports under panels of four leads, each with an extension of its own. */
    @Setup
    public void rig() {
        chains = IntStream.range(0, SETUPS).mapToObj(this::chain).toList();
    }

    private Chain chain(int number) {
        Connector female = Connector.of("SMA-female");
        Connector male = Connector.of("SMA-male");
        Device device = new Device(
                "Curlew " + number,
                Optional.of(bands.stream().map(Band::name).collect(Collectors.toSet())),
                Map.of(Band.Technology.LTE, 4),
                Optional.of(IntStream.range(0, 4)
                        .mapToObj(i -> new Port("M" + i, Use.CELLULAR, female, i == 0))
                        .toList()),
                Optional.of(true),
                OptionalDouble.of(14),
                Optional.of(InternalAntennas.NONE),
                Optional.of(false),
                Optional.of(SimSize.NANO),
                OptionalInt.of(2),
                Optional.of(true),
                OptionalInt.of(1),
                Optional.empty(),
                new PowerInput(
                        false,
                        Set.of(),
                        OptionalDouble.of(9),
                        OptionalDouble.of(30),
                        OptionalDouble.empty(),
                        OptionalDouble.of(11),
                        OptionalDouble.of(18)),
                OptionalDouble.of(1000),
                OptionalDouble.of(1201),
                OptionalDouble.of(2000),
                OptionalInt.of(5),
                Optional.of(Set.of(Feature.VPN)));
        CableClass cable = CableClass.of("240-class");
        Antenna antenna = new Antenna(
                "Rowan " + number,
                true,
                OptionalDouble.of(60),
                List.of(
                        new GainRange(new Span(600, 2700), OptionalDouble.of(8), OptionalDouble.of(9 + number)),
                        new GainRange(new Span(3300, 6000), OptionalDouble.of(9), OptionalDouble.of(10))),
                IntStream.range(0, 4)
                        .mapToObj(i -> new Lead(
                                "" + i, Use.CELLULAR, Optional.of(cable), OptionalDouble.of(3), male, List.of()))
                        .toList(),
                OptionalDouble.of(0),
                OptionalDouble.of(0.3),
                false,
                Optional.empty());
        Cable extension = new Cable("Extension " + number, cable, 1 + number, female, male);
        return new Chain(
                new Vehicle("Heron", Shell.STEEL, 2.86, 4, 200, 12.8),
                Optional.of(device),
                Placement.INSIDE,
                Optional.empty(),
                List.of(new AntennaRun(
                        "1", antenna, List.of(extension), Map.of(), Placement.MAST, 3, OptionalDouble.empty())),
                List.of(),
                List.of(),
                Plugging.NONE,
                Settings.USUAL);
    }

    @Benchmark
    public Findings fitCheck() {
        return FitCheck.of(FitCase.of(chains.get(0), "Tarnwave", bands, List.of(), Demand.NONE));
    }

    @Benchmark
    public Ranking candidates() {
        ChoiceLimits wanted = new ChoiceLimits(OptionalDouble.of(500), 24);
        List<Option> options = new ArrayList<>();
        for (Chain chain : chains) {
            FitCase fit = FitCase.of(chain, "Tarnwave", bands, List.of(), DEMAND);
            options.add(Candidate.of(chain.device().orElseThrow().name(), fit, List.of(), wanted)
                    .option());
        }
        return Ranking.of(options, Weights.USUAL, OptionalDouble.of(500));
    }
}

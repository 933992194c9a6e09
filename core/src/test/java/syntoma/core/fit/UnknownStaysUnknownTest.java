package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Coverage;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Booster;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Changed;
import syntoma.core.chain.Device;
import syntoma.core.chain.GainRange;
import syntoma.core.chain.Lead;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Sim;
import syntoma.core.chain.Staircase;

/** Whatever one statement is left out of a sheet of a sound rig, each result stays the same or becomes unknown. */
class UnknownStaysUnknownTest {
    private static final List<Band> BANDS =
            Stream.of("B3", "B7", "B20", "n78").map(Bands::of).toList();
    private static final Demand DEMAND =
            new Demand(OptionalDouble.of(25), OptionalDouble.of(5), 90, List.of(syntoma.core.chain.Feature.VPN));

    /** A chain with one statement less, and which. */
    record Less(String what, Chain chain) {}

    static Stream<Chain> sound() {
        return SoundRigsTest.sound();
    }

    @ParameterizedTest
    @MethodSource("sound")
    void each_result_stays_or_becomes_unknown(Chain chain) {
        FitCase before = fit(chain);
        List<Less> all = less(chain);
        assertTrue(all.size() >= 8, "statements: " + all.size());
        for (Less less : all) {
            compare(chain.summary() + " without " + less.what(), before, fit(less.chain()));
        }
    }

    private static FitCase fit(Chain chain) {
        return FitCase.of(chain, "Tarnwave", BANDS, List.of(), DEMAND);
    }

    private static void compare(String what, FitCase before, FitCase after) {
        for (Coverage was : before.reach().bands()) {
            Band band = was.band();
            Coverage is = after.reach().of(band).orElseThrow();
            assertTrue(is.isUnknown() || is.result() == was.result(), what + ": " + band.name() + " " + is.sentence());
            OptionalInt streams = after.streams(band);
            assertTrue(
                    streams.isEmpty() || streams.equals(before.streams(band)),
                    what + ": " + band.name() + " streams " + streams + " instead of " + before.streams(band));
            OptionalDouble delta = after.staircase(band).map(Staircase::deltaDb).orElse(OptionalDouble.empty());
            OptionalDouble wasDelta =
                    before.staircase(band).map(Staircase::deltaDb).orElse(OptionalDouble.empty());
            assertTrue(
                    delta.isEmpty() || Math.abs(delta.getAsDouble() - wasDelta.orElse(Double.NaN)) < 1e-9,
                    what + ": " + band.name() + " gain " + delta + " instead of " + wasDelta);
        }
        Set<String> claims =
                FitCheck.of(before).all().stream().map(f -> f.says().toString()).collect(Collectors.toSet());
        for (FitFinding f : FitCheck.of(after).all()) {
            boolean open = f.severity() == Severity.NOTE
                    && (f.says().toString().contains("unknown")
                            || f.says().toString().contains("does not say")
                            || f.says().toString().contains("does not state"));
            assertTrue(claims.contains(f.says().toString()) || open, what + ": " + f);
        }
    }

    private static List<Less> less(Chain chain) {
        List<Less> all = new ArrayList<>();
        chain.device().ifPresent(d -> {
            each(d, all, changed -> Changed.with(chain, "device", Optional.of(changed)));
            each(
                    d.power(),
                    all,
                    power -> Changed.with(chain, "device", Optional.of(Changed.power(d, (PowerInput) power))));
            d.layers().keySet().forEach(rat -> {
                Map<Band.Technology, Integer> layers = new HashMap<>(d.layers());
                layers.remove(rat);
                all.add(new Less(
                        "layers on " + rat,
                        Changed.with(chain, "device", Optional.of(Changed.with(d, "layers", layers)))));
            });
        });
        chain.booster().ifPresent(b -> each(b, all, changed -> Changed.with(chain, "booster", Optional.of(changed))));
        for (int i = 0; i < chain.antennas().size(); i++) {
            int at = i;
            AntennaRun run = chain.antennas().get(i);
            Function<Antenna, Chain> put = antenna ->
                    Changed.with(chain, "antennas", set(chain.antennas(), at, Changed.with(run, "antenna", antenna)));
            Antenna antenna = run.antenna();
            each(antenna, all, changed -> put.apply((Antenna) changed));
            for (int j = 0; j < antenna.leads().size(); j++) {
                int lead = j;
                each(
                        antenna.leads().get(j),
                        all,
                        changed ->
                                put.apply(Changed.with(antenna, "leads", set(antenna.leads(), lead, (Lead) changed))));
            }
            // one gain alone stands for its range, so both are left out
            List<GainRange> bare = antenna.ranges().stream()
                    .map(r -> new GainRange(r.span(), OptionalDouble.empty(), OptionalDouble.empty()))
                    .toList();
            all.add(new Less("gains", put.apply(Changed.with(antenna, "ranges", bare))));
        }
        for (int i = 0; i < chain.sims().size(); i++) {
            int at = i;
            each(
                    chain.sims().get(i),
                    all,
                    changed -> Changed.with(chain, "sims", set(chain.sims(), at, (Sim) changed)));
        }
        return all;
    }

    /** The record once for each component that states something and need not. */
    private static void each(Record record, List<Less> all, Function<Record, Chain> put) {
        for (RecordComponent c : record.getClass().getRecordComponents()) {
            Optional<Object> nothing = nothing(record, c);
            if (nothing.isPresent()) {
                Record changed = Changed.with(record, c.getName(), nothing.get());
                // whether there are own antennas is read from how they behave
                if (record instanceof Device && c.getName().equals("internal")) {
                    changed = Changed.with(changed, "ownAntennas", Optional.empty());
                }
                all.add(new Less(record.getClass().getSimpleName() + " " + c.getName(), put.apply(changed)));
            }
        }
    }

    private static Optional<Object> nothing(Record record, RecordComponent c) {
        // a lead without ranges of its own has those of its antenna, which is a statement too
        if (record instanceof Lead && c.getName().equals("ranges")) {
            return Optional.empty();
        }
        return switch (c.getType().getSimpleName()) {
            case "Optional" -> Optional.of(Optional.empty());
            case "OptionalDouble" -> Optional.of(OptionalDouble.empty());
            case "OptionalInt" -> Optional.of(OptionalInt.empty());
            case "List" ->
                record instanceof Antenna || record instanceof Booster ? Optional.of(List.of()) : Optional.empty();
            case "Set" -> Optional.of(Set.of());
            default -> Optional.empty();
        };
    }

    private static <T> List<T> set(List<T> list, int place, T item) {
        List<T> copy = new ArrayList<>(list);
        copy.set(place, item);
        return List.copyOf(copy);
    }
}

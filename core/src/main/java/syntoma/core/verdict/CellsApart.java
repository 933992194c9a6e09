package syntoma.core.verdict;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import syntoma.core.reading.Scale;
import syntoma.core.unit.Text;

/** Whether two setups were on the same cell: where they were not, that may be what makes the difference. */
public final class CellsApart {
    /** Under so many rounds nothing is said of them alone. */
    private static final int FEWEST = 3;

    private CellsApart() {}

    /**
     * Where a setup was served at a moment.
     *
     * @param cell its identity, empty text where it is not known
     * @param band empty text where it is not known
     */
    public record CellOfRound(String setup, Instant at, String cell, String band) {}

    private record Round(PairedRound pair, CellOfRound baseline, CellOfRound candidate) {
        boolean isKnown() {
            return isKnownOfBoth(CellOfRound::cell) || isKnownOfBoth(CellOfRound::band);
        }

        private boolean isKnownOfBoth(Function<CellOfRound, String> part) {
            return !part.apply(baseline).isEmpty() && !part.apply(candidate).isEmpty();
        }

        boolean isOnOtherCells() {
            return isKnownOfBoth(CellOfRound::cell) && !baseline.cell.equals(candidate.cell);
        }

        boolean isOnOtherBands() {
            return isKnownOfBoth(CellOfRound::band) && !baseline.band.equals(candidate.band);
        }

        boolean isApart() {
            return isOnOtherCells() || isOnOtherBands();
        }
    }

    /**
     * What is said next to the verdict; empty where the two were on the same cell in most rounds, or that is not known.
     *
     * @param served where the setups were served, by their measurements
     */
    public static Optional<String> sentence(Comparison c, Collection<CellOfRound> served) {
        Map<List<Object>, CellOfRound> at = served.stream()
                .collect(Collectors.toMap(s -> List.of(s.setup, s.at), Function.identity(), (a, b) -> a));
        List<Round> rounds = c.rounds().stream()
                .filter(r -> at.containsKey(List.of(c.baseline(), r.baselineAt()))
                        && at.containsKey(List.of(c.candidate(), r.candidateAt())))
                .map(r -> new Round(
                        r,
                        at.get(List.of(c.baseline(), r.baselineAt())),
                        at.get(List.of(c.candidate(), r.candidateAt()))))
                .filter(Round::isKnown)
                .toList();
        List<Round> apart = rounds.stream().filter(Round::isApart).toList();
        if (rounds.size() < FEWEST || 2 * apart.size() <= rounds.size()) {
            return Optional.empty();
        }
        long otherCells = apart.stream().filter(Round::isOnOtherCells).count();
        String what = otherCells == 0 ? "band" : "cell";
        return Optional.of("In " + apart.size() + " of " + rounds.size() + " rounds " + c.candidate()
                + " was on another " + what + " than " + c.baseline() + bands(apart)
                + ": that alone can make the difference. "
                + remains(c, rounds.stream().filter(r -> !r.isApart()).toList(), what));
    }

    /** The bands of the two, where they differ and are few. */
    private static String bands(List<Round> apart) {
        Stream<Round> known = apart.stream().filter(Round::isOnOtherBands);
        List<String> pairs = known.map(r -> r.candidate.band + " and " + r.baseline.band)
                .distinct()
                .toList();
        return pairs.size() == 1 ? " (" + pairs.get(0) + ")" : "";
    }

    private static String remains(Comparison c, List<Round> same, String what) {
        if (same.size() < FEWEST) {
            return same.isEmpty()
                    ? "No round had both on the same " + what + "."
                    : "Only " + Text.count(same.size(), "round") + " had both on the same " + what + ".";
        }
        double mean =
                same.stream().mapToDouble(r -> r.pair.difference()).average().orElseThrow();
        Scale scale = c.metric().scale();
        BiPredicate<Double, Double> sameWay = (a, b) -> Math.signum(a) == Math.signum(b);
        double whole = c.rounds().stream()
                .mapToDouble(PairedRound::difference)
                .average()
                .orElseThrow();
        boolean stays = sameWay.test(mean, whole) && Math.abs(mean) > scale.margin();
        return "In the " + Text.count(same.size(), "round") + " on the same " + what + " it is "
                + scale.format(scale.off(mean)) + ": the difference " + (stays ? "remains." : "does not remain.");
    }
}

package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.need.Met;
import syntoma.core.need.Need;
import syntoma.core.need.NeedRecord;
import syntoma.core.need.Shortfall;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Block;
import syntoma.core.trial.Blocks;
import syntoma.core.trial.Sample;
import syntoma.core.unit.Wilson;

/**
 * How often several setups met the whole need at one place (docs/methods.md#9-verdicts, “The need first”).
 *
 * @param name the needs by name; empty text where none is chosen
 * @param records by setup
 * @param rounds the judged runs in their rounds: 1 met it, 0 missed it
 */
public record NeedComparison(String name, Map<String, NeedRecord> records, List<Block> rounds) {
    /** Where no need is chosen, or none of its figures was measured. */
    public static final NeedComparison NONE = new NeedComparison("", Map.of(), List.of());

    private static final NeedRecord NOT_MEASURED = new NeedRecord(new Met(0, 0), Optional.empty());

    /**
     * Compares the runs of some setups.
     *
     * @param attempts one for each run, of any figure, in the order of {@code isMet}
     * @param isMet for each run whether it met the need; empty where it does not say
     */
    public static NeedComparison of(
            List<Need> needs, Map<String, NeedRecord> records, List<Sample> attempts, List<Optional<Boolean>> isMet) {
        List<Sample> judged = new ArrayList<>();
        for (int i = 0; i < attempts.size(); i++) {
            Sample attempt = attempts.get(i);
            isMet.get(i).ifPresent(met -> judged.add(attempt.withValue(OptionalDouble.of(met ? 1 : 0))));
        }
        return new NeedComparison(
                needs.stream().map(Need::name).collect(Collectors.joining(" and ")),
                Map.copyOf(records),
                Blocks.forOutcomes(judged));
    }

    /** The record of a setup; one without runs where nothing of it can be judged. */
    public NeedRecord of(String setup) {
        return records.getOrDefault(setup, NOT_MEASURED);
    }

    /** Whether both were judged. */
    boolean knows(String one, String other) {
        return !of(one).share().isUnknown() && !of(other).share().isUnknown();
    }

    /**
     * The one of two that met the need clearly more often: by McNemar's exact test over the rounds in which both were judged, or
     * because the 95 % intervals of their shares of runs do not overlap.
     */
    public Optional<String> clearlyMore(String one, String other) {
        if (!knows(one, other)) {
            return Optional.empty();
        }
        int onlyOne = 0;
        int onlyOther = 0;
        for (Block round : rounds) {
            OptionalDouble ofOne = share(round, one);
            OptionalDouble ofOther = share(round, other);
            if (ofOne.isPresent() && ofOther.isPresent()) {
                boolean oneMet = isMet(ofOne);
                boolean otherMet = isMet(ofOther);
                onlyOne += oneMet && !otherMet ? 1 : 0;
                onlyOther += otherMet && !oneMet ? 1 : 0;
            }
        }
        if (McNemar.p(onlyOne, onlyOther) < InterimLooks.SINGLE) {
            return Optional.of(onlyOne > onlyOther ? one : other);
        }
        Wilson first = interval(one);
        Wilson second = interval(other);
        if (first.low() > second.high()) {
            return Optional.of(one);
        }
        return second.low() > first.high() ? Optional.of(other) : Optional.empty();
    }

    private Wilson interval(String setup) {
        Met met = of(setup).share();
        return Wilson.of(met.runs(), met.metRuns());
    }

    private static OptionalDouble share(Block round, String setup) {
        return round.of(setup).stream().mapToDouble(s -> s.value().orElse(0)).average();
    }

    /** A round is met when the majority of its runs are. */
    private static boolean isMet(OptionalDouble share) {
        return share.getAsDouble() > 0.5;
    }

    /** The one of two that met it in at least half of its runs while the other did not. */
    Optional<String> onlyOneInHalf(String one, String other) {
        if (!knows(one, other) || of(one).share().isHalf() == of(other).share().isHalf()) {
            return Optional.empty();
        }
        return Optional.of(of(one).share().isHalf() ? one : other);
    }

    /** Whether one of two met it in a smaller share of its runs than the other. */
    boolean isLess(String setup, String one, String other) {
        return knows(one, other)
                && of(setup).share().share()
                        < of(setup.equals(one) ? other : one).share().share();
    }

    /** Whether a figure is what fails most often with a setup. */
    boolean failsOn(String setup, Figure figure) {
        return of(setup)
                .shortfall()
                .flatMap(Shortfall::threshold)
                .filter(t -> t.figure() == figure)
                .isPresent();
    }

    /** How often each met it: “2 of 5 runs met Video calls, Roof dome 0 of 5”, the first of the two named before. */
    String shares(String first, String second) {
        return share(first) + " runs met " + name + ", " + second + " " + share(second);
    }

    /** How often one met it, before its figure: “2 of 5 runs met Video calls, ”; empty text where that is not known. */
    public String sharePhrase(String setup) {
        return of(setup).share().isUnknown() ? "" : share(setup) + " runs met " + name + ", ";
    }

    /** How often each met it, and what fails: “Mast panel 2 of 5, Roof dome 0 of 5; latency is what fails …”. */
    String sharesOf(String first, String second) {
        return first + " " + share(first) + ", " + second + " " + share(second) + failing(first, second);
    }

    /** “2 of 5”. */
    String share(String setup) {
        Met met = of(setup).share();
        return met.metRuns() + " of " + met.runs();
    }

    /** What fails with the first, or where nothing does with the second; after a semicolon, else nothing. */
    String failing(String first, String second) {
        Optional<String> own = of(first).shortfall().map(s -> "; " + s.sentence());
        return own.or(() -> of(second).shortfall().map(s -> "; with " + second + " " + s.sentence()))
                .orElse("");
    }

    /** Whether each of the two met it in four of five runs, so that its figures alone may be talked of. */
    boolean isMostlyMetByBoth(String one, String other) {
        return of(one).share().isMostly() && of(other).share().isMostly();
    }
}

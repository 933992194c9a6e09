package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;
import syntoma.core.run.CappedSetups;
import syntoma.core.trial.Block;
import syntoma.core.trial.Blocks;
import syntoma.core.trial.Sample;

/**
 * Compares setups over the measurements of one trial, or of any selection in which blocks can be formed.
 *
 * <p>Effects are means of paired differences within rounds, their spread Student's t, steadied by past trials where the plan
 * brings some. A trial that was planned is looked at after every round with the levels of {@link InterimLooks}, more strictly past
 * its plan; anything else is one look at 95 %. Several setups in one trial are one family of all pairs, because the best of
 * them is chosen by the data: Holm's procedure decides, Bonferroni's intervals are shown.
 *
 * @param samples the measurements, with the value of the metric
 * @param plan empty when the comparison was not planned
 * @param cappedSetups the setups whose runs are held by plan or network
 */
public record Comparer(Figure metric, List<Sample> samples, Optional<Plan> plan, CappedSetups cappedSetups) {

    /** A candidate and what it is compared with. */
    public record Contrast(String baseline, String candidate) {}

    /** A contrast with its rounds and what they come to. */
    private record PairedRound(Contrast contrast, Pairing pairing, Effect effect) {}

    public Comparer {
        samples = List.copyOf(Blocks.inOrder(samples));
    }

    /** A comparison that was not planned: one look at 95 %. */
    public static Comparer unplanned(Figure metric, List<Sample> samples) {
        return new Comparer(metric, samples, Optional.empty(), CappedSetups.NONE);
    }

    /** One pair, unadjusted. */
    public Comparison pair(String baseline, String candidate) {
        return withPlannedLook(c -> c.new Family(List.of(baseline, candidate)).against(baseline))
                .get(0);
    }

    /** Comparisons over all rounds, each with the decision of the plan's last look where rounds were made past the plan. */
    private List<Comparison> withPlannedLook(Function<Comparer, List<Comparison>> compare) {
        List<Comparison> all = compare.apply(this);
        if (plan.isEmpty() || !plan.get().isPast(usableRounds().size())) {
            return all;
        }
        Set<Integer> planned =
                usableRounds().stream().limit(plan.get().rounds()).collect(Collectors.toSet());
        List<Comparison> before = compare.apply(new Comparer(
                metric,
                samples.stream()
                        .filter(s -> s.round().isPresent()
                                && planned.contains(s.round().getAsInt()))
                        .toList(),
                plan,
                cappedSetups));
        List<Comparison> both = new ArrayList<>(all.size());
        for (int i = 0; i < all.size(); i++) {
            both.add(all.get(i).after(before.get(i)));
        }
        return both;
    }

    /**
     * Each setup against the baseline and, where that is another, against the best so far; adjusted as one family.
     *
     * @param best as {@link #best} tells it, by the metric that matters most
     */
    public List<Comparison> family(String baseline, String best, List<String> setups) {
        return withPlannedLook(c -> c.allOf(baseline, best, setups));
    }

    private List<Comparison> allOf(String baseline, String best, List<String> setups) {
        Family family = new Family(setups);
        List<Comparison> comparisons = new ArrayList<>(family.against(baseline));
        if (!best.equals(baseline)) {
            family.against(best).stream()
                    .filter(c -> !c.candidate().equals(baseline))
                    .forEach(comparisons::add);
        }
        return comparisons;
    }

    /** The setup that looks best so far of those with enough rounds against the baseline; the baseline where none does. */
    public String best(String baseline, List<String> setups) {
        return new Family(setups).best(baseline);
    }

    /**
     * The spread of a round's differences, for trials that come later: of the first two of these setups that share enough
     * rounds. Empty where none do.
     */
    public Optional<ModeratedVariance.PastSpread> spread(List<String> setups) {
        Spread own = new Spread(metric.scale().leastSpread(), Optional.empty());
        List<Block> blocks = Blocks.forMetric(samples);
        for (int i = 0; i < setups.size(); i++) {
            for (int j = i + 1; j < setups.size(); j++) {
                Effect effect = own.effect(
                        Pairing.of(metric, setups.get(i), setups.get(j), blocks).differences());
                if (effect.hasEnoughRounds()) {
                    double sd = effect.sd().orElseThrow();
                    return Optional.of(new ModeratedVariance.PastSpread(
                            sd * sd, effect.rounds() - 1, effect.mean().orElseThrow()));
                }
            }
        }
        return Optional.empty();
    }

    /** The rounds that were made, in their order: those in which at least two setups were tried. */
    private List<Integer> usableRounds() {
        Map<Integer, Set<String>> tried = new HashMap<>();
        for (Sample sample : samples) {
            sample.round().ifPresent(round -> tried.computeIfAbsent(round, r -> new HashSet<>())
                    .add(sample.setup()));
        }
        return tried.entrySet().stream()
                .filter(t -> t.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    /** All pairs of some setups. */
    private final class Family {
        private final List<String> setups;
        private final Map<Contrast, PairedRound> pairs = new LinkedHashMap<>();
        private final List<Block> attempts;
        private final Spread spread = new Spread(metric.scale().leastSpread(), plan.flatMap(Plan::moderatedVariance));
        private final boolean pastPlan;
        private final double look;
        private final double shown;

        Family(List<String> setups) {
            this.setups = List.copyOf(setups);
            List<Block> blocks = Blocks.forMetric(samples);
            // where every measurement counts, the same measurements open the blocks of both kinds
            attempts = samples.stream().allMatch(Sample::counts) ? blocks : Blocks.forOutcomes(samples);
            for (int i = 0; i < setups.size(); i++) {
                for (int j = i + 1; j < setups.size(); j++) {
                    pair(new Contrast(setups.get(i), setups.get(j)), blocks);
                }
            }
            int made = plan.isPresent() ? usableRounds().size() : 0;
            pastPlan = plan.filter(p -> p.isPast(made)).isPresent();
            look = plan.map(p -> p.level(made)).orElse(InterimLooks.SINGLE);
            shown = look / Math.max(1, judgedPairs().size());
        }

        private void pair(Contrast contrast, List<Block> blocks) {
            Pairing pairing = Pairing.of(metric, contrast.baseline, contrast.candidate, blocks);
            pairs.put(contrast, new PairedRound(contrast, pairing, spread.effect(pairing.differences())));
        }

        private List<PairedRound> judgedPairs() {
            return pairs.values().stream()
                    .filter(p -> p.effect.hasEnoughRounds())
                    .toList();
        }

        String best(String baseline) {
            Map<String, Double> better = new HashMap<>();
            better.put(baseline, 0.0);
            for (String setup : setups) {
                if (!setup.equals(baseline)
                        && inDirection(baseline, setup).effect.hasEnoughRounds()) {
                    double mean = inDirection(baseline, setup).effect.mean().orElseThrow();
                    better.put(setup, metric.comparing().isHigherBetter() ? mean : -mean);
                }
            }
            return setups.stream()
                    .filter(better::containsKey)
                    .max(Comparator.comparing(better::get))
                    .orElseThrow();
        }

        /** Every other setup against one. */
        List<Comparison> against(String baseline) {
            return setups.stream()
                    .filter(setup -> !setup.equals(baseline))
                    .map(setup -> result(inDirection(baseline, setup), new Contrast(baseline, setup)))
                    .toList();
        }

        private PairedRound inDirection(String baseline, String candidate) {
            PairedRound paired = pairs.get(new Contrast(baseline, candidate));
            if (paired == null) {
                PairedRound other = pairs.get(new Contrast(candidate, baseline));
                Pairing turned = other.pairing.swapped();
                return new PairedRound(other.contrast, turned, spread.effect(turned.differences()));
            }
            return paired;
        }

        private Comparison result(PairedRound paired, Contrast contrast) {
            Effect effect = paired.effect;
            Pairing pairing = paired.pairing;
            Failures failures = Failures.of(attempts, contrast.baseline, contrast.candidate);
            List<Double> others = judgedPairs().stream()
                    .filter(p -> !p.contrast.equals(paired.contrast))
                    .map(p -> p.effect.p())
                    .toList();
            OptionalDouble cappedMbps = cappedSetups.commonCap(contrast.baseline, contrast.candidate);
            Judge judge = new Judge(
                    metric.scale(),
                    metric.comparing().isHigherBetter(),
                    cappedMbps.isPresent(),
                    failures.areOfCandidate(),
                    shown,
                    Holm.threshold(others, look));
            Verdict verdict = judge.of(effect);
            LeaveOneOut leaving = new LeaveOneOut(pairing.differences(), spread);
            Scale scale = metric.scale();
            return new Comparison(
                    metric,
                    contrast.baseline,
                    contrast.candidate,
                    pairing.rounds(),
                    pairing.leftOut(),
                    pairing.bandsApart(),
                    effect.mean().isPresent()
                            ? OptionalDouble.of(scale.off(effect.mean().getAsDouble()))
                            : OptionalDouble.empty(),
                    effect.hasEnoughRounds() ? OptionalDouble.of(scale.off(effect.low(shown))) : OptionalDouble.empty(),
                    effect.hasEnoughRounds()
                            ? OptionalDouble.of(scale.off(effect.high(shown)))
                            : OptionalDouble.empty(),
                    1 - shown,
                    pastPlan,
                    Optional.empty(),
                    spread.moderatedVariance(),
                    verdict,
                    verdict == Verdict.CANNOT_TELL ? Optional.of(outlook(effect)) : Optional.empty(),
                    WildRun.among(metric, pairing, leaving, contrast.baseline, contrast.candidate, shown),
                    RestsOn.among(pairing, leaving, verdict, judge),
                    failures,
                    PlainAverages.of(metric, samples, contrast.baseline, contrast.candidate),
                    cappedMbps);
        }

        private Outlook outlook(Effect effect) {
            Forecast forecast = Forecast.of(metric.scale(), effect, spread.moderatedVariance());
            int left = plan.map(p -> Math.max(0, p.rounds() - usableRounds().size()))
                    .orElse(0);
            return new Outlook(
                    left,
                    left > 0 ? OptionalDouble.of(forecast.chance(left, shown)) : OptionalDouble.empty(),
                    forecast.newTrial(Forecast.LIKELY),
                    forecast.newTrial(Forecast.EVEN));
        }
    }
}

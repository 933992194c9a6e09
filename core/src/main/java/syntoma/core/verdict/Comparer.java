package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Block;
import syntoma.core.trial.Blocks;
import syntoma.core.trial.Sample;

/**
 * Compares setups over the measurements of one trial, or of any selection in which blocks can be formed.
 *
 * <p>Effects are means of paired differences within rounds, their spread Student's t. A trial whose number of rounds was
 * planned is looked at after every round with the levels of {@link Looks}; anything else is one look at 95 %. Several
 * comparisons in one trial are adjusted: Holm's p-values decide, Bonferroni's intervals are shown.
 *
 * @param samples the measurements, with the value of the metric
 * @param plannedRounds empty when the comparison was not planned
 * @param cappedMbps the rate at which both setups' runs are held by plan or network, empty when they are not
 */
public record Comparer(Figure metric, List<Sample> samples, OptionalInt plannedRounds, OptionalDouble cappedMbps) {

    /** A candidate and what it is held against. */
    public record Contrast(String baseline, String candidate) {}

    public Comparer {
        samples = List.copyOf(Blocks.inOrder(samples));
    }

    /** One pair, unadjusted. */
    public Comparison pair(String baseline, String candidate) {
        return contrasts(List.of(new Contrast(baseline, candidate))).get(0);
    }

    /** Each setup against the baseline and, where that is another, against the best so far; adjusted as one family. */
    public List<Comparison> family(String baseline, List<String> setups) {
        List<Contrast> contrasts = new ArrayList<>();
        setups.stream().filter(s -> !s.equals(baseline)).forEach(s -> contrasts.add(new Contrast(baseline, s)));
        String best = best(baseline, contrasts);
        if (!best.equals(baseline)) {
            setups.stream()
                    .filter(s -> !s.equals(baseline) && !s.equals(best))
                    .forEach(s -> contrasts.add(new Contrast(best, s)));
        }
        return contrasts(contrasts);
    }

    private String best(String baseline, List<Contrast> contrasts) {
        List<Block> blocks = Blocks.forMetric(samples);
        Map<String, Double> effects = new LinkedHashMap<>();
        for (Contrast contrast : contrasts) {
            Effect effect = Effect.of(
                    Pairing.of(metric, baseline, contrast.candidate(), blocks).differences());
            effect.mean().ifPresent(mean -> effects.put(contrast.candidate(), signed(mean)));
        }
        return effects.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(baseline);
    }

    private List<Comparison> contrasts(List<Contrast> contrasts) {
        List<Block> blocks = Blocks.forMetric(samples);
        // where every measurement counts, the same measurements open the blocks of both kinds
        List<Block> attempts = samples.stream().allMatch(Sample::counts) ? blocks : Blocks.forOutcomes(samples);
        List<Pairing> pairings = contrasts.stream()
                .map(c -> Pairing.of(metric, c.baseline(), c.candidate(), blocks))
                .toList();
        List<Effect> effects =
                pairings.stream().map(p -> Effect.of(p.differences())).toList();
        List<Integer> judged = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            if (effects.get(i).enough()) {
                judged.add(i);
            }
        }
        List<Double> adjusted =
                Holm.adjust(judged.stream().map(i -> effects.get(i).p()).collect(Collectors.toList()));
        double look = plannedRounds.isPresent() ? Looks.level(plannedRounds.getAsInt()) : Looks.SINGLE;
        double shown = look / Math.max(1, judged.size());
        List<Comparison> results = new ArrayList<>();
        for (int i = 0; i < contrasts.size(); i++) {
            Contrast contrast = contrasts.get(i);
            Failures failures = Failures.of(attempts, contrast.baseline(), contrast.candidate());
            boolean beyond = judged.contains(i) && adjusted.get(judged.indexOf(i)) < look;
            results.add(result(contrast, pairings.get(i), effects.get(i), failures, beyond, shown));
        }
        return results;
    }

    private Comparison result(
            Contrast contrast, Pairing pairing, Effect effect, Failures failures, boolean beyond, double level) {
        Verdict verdict = verdict(effect, failures, beyond, level);
        boolean enough = effect.enough();
        OptionalInt wanted = verdict == Verdict.CANNOT_TELL ? RoundsWanted.further(effect) : OptionalInt.empty();
        return new Comparison(
                metric,
                contrast.baseline(),
                contrast.candidate(),
                pairing.rounds(),
                pairing.leftOut(),
                effect.mean().isPresent()
                        ? OptionalDouble.of(metric.scale().off(effect.mean().getAsDouble()))
                        : OptionalDouble.empty(),
                enough ? OptionalDouble.of(metric.scale().off(effect.low(level))) : OptionalDouble.empty(),
                enough ? OptionalDouble.of(metric.scale().off(effect.high(level))) : OptionalDouble.empty(),
                1 - level,
                verdict,
                wanted,
                WildRun.among(metric, pairing, contrast.baseline(), contrast.candidate(), level),
                failures,
                Plain.of(metric, samples, contrast.baseline(), contrast.candidate()),
                cappedMbps);
    }

    private Verdict verdict(Effect effect, Failures failures, boolean beyond, double level) {
        if (!effect.enough()) {
            return Verdict.TOO_FEW;
        }
        if (cappedMbps.isPresent()) {
            return Verdict.CAPPED;
        }
        double margin = metric.scale().margin();
        if (effect.low(level) > -margin && effect.high(level) < margin) {
            return Verdict.NO_DIFFERENCE;
        }
        if (!beyond) {
            return Verdict.CANNOT_TELL;
        }
        double better = signed(effect.mean().orElseThrow());
        if (better < 0) {
            return better < -margin ? Verdict.WORSE : Verdict.SLIGHTLY_WORSE;
        }
        if (failures.againstCandidate()) {
            return Verdict.LESS_RELIABLE;
        }
        return better > margin ? Verdict.BETTER : Verdict.SLIGHTLY_BETTER;
    }

    /** The effect with plus as better. */
    private double signed(double effect) {
        return metric.comparing().higherIsBetter() ? effect : -effect;
    }
}

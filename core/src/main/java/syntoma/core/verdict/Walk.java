package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;

/**
 * An antenna, a hotspot or a booster's indoor antenna carried about by hand, with marks of what it heard where.
 *
 * <p>Places are compared by their marks in order: the first of one with the first of the other, within one band. Looked at once,
 * at its end; all pairs of places are one family (Holm decides, Bonferroni's intervals), because the best place is chosen by the
 * data. What the air changes by itself between marks is counted in ({@link Fading}), so that a place done with before the other
 * began is told apart from it only by more than that.
 *
 * @param marks in the order of their taking
 */
public record Walk(Figure metric, List<Mark> marks) {
    /** How many marks a place needs for a verdict. */
    public static final int FEWEST = InterimLooks.FEWEST;

    /**
     * A level that was marked.
     *
     * @param atS since the walk began, in s
     * @param band empty where the device does not say
     */
    public record Mark(String place, double atS, double value, Optional<String> band) {}

    /** A place with its marks. */
    public record Place(String name, List<Mark> marks) {
        public double mean() {
            return marks.stream().mapToDouble(Mark::value).average().orElseThrow();
        }

        public double low() {
            return marks.stream().mapToDouble(Mark::value).min().orElseThrow();
        }

        public double high() {
            return marks.stream().mapToDouble(Mark::value).max().orElseThrow();
        }
    }

    /**
     * The best place against another; in dB, positive where the best is better.
     *
     * @param pairs of marks on one band
     * @param low empty under three of them
     * @param level the interval's confidence
     * @param hasDrifted whether more of the doubt comes from the air's own change than from the marks' scatter
     */
    public record Against(
            String best,
            String place,
            int pairs,
            OptionalDouble estimate,
            OptionalDouble low,
            OptionalDouble high,
            double level,
            boolean hasDrifted,
            Verdict verdict) {}

    /** Two places with the marks that are compared with each other. */
    private record Pair(String one, String other, Effect effect, boolean hasDrifted) {}

    public Walk {
        marks = List.copyOf(marks);
    }

    /** The places, the best mean first. */
    public List<Place> places() {
        Map<String, List<Mark>> byName = new LinkedHashMap<>();
        marks.forEach(m ->
                byName.computeIfAbsent(m.place(), name -> new ArrayList<>()).add(m));
        return byName.entrySet().stream()
                .map(e -> new Place(e.getKey(), List.copyOf(e.getValue())))
                .sorted(Comparator.comparingDouble(Place::mean).reversed())
                .toList();
    }

    /** The best place against each of the others, in their order. */
    public List<Against> differences() {
        List<Place> places = places();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            for (int j = i + 1; j < places.size(); j++) {
                pairs.add(pair(places.get(i), places.get(j)));
            }
        }
        List<Pair> judged =
                pairs.stream().filter(p -> p.effect.hasEnoughRounds()).toList();
        double shown = InterimLooks.SINGLE / Math.max(1, judged.size());
        return pairs.stream()
                .limit(Math.max(0, places.size() - 1))
                .map(pair -> against(pair, judged, shown))
                .toList();
    }

    private Against against(Pair pair, List<Pair> judged, double shown) {
        List<Double> others =
                judged.stream().filter(p -> p != pair).map(p -> p.effect.p()).toList();
        Effect effect = pair.effect;
        boolean enough = effect.hasEnoughRounds();
        return new Against(
                pair.one,
                pair.other,
                effect.rounds(),
                effect.mean(),
                enough ? OptionalDouble.of(effect.low(shown)) : OptionalDouble.empty(),
                enough ? OptionalDouble.of(effect.high(shown)) : OptionalDouble.empty(),
                1 - shown,
                pair.hasDrifted,
                new Judge(
                                metric.scale(),
                                metric.comparing().isHigherBetter(),
                                false,
                                false,
                                shown,
                                Holm.threshold(others, InterimLooks.SINGLE))
                        .of(effect));
    }

    /** One place less another, mark by mark within a band. */
    private Pair pair(Place one, Place other) {
        List<Mark> ones = new ArrayList<>();
        List<Mark> others = new ArrayList<>();
        List<Mark> left = new ArrayList<>(other.marks);
        for (Mark mark : one.marks) {
            left.stream().filter(m -> isOneBand(m, mark)).findFirst().ifPresent(m -> {
                ones.add(mark);
                others.add(m);
                left.remove(m);
            });
        }
        int n = ones.size();
        double[] differences = new double[n];
        double[] oneS = new double[n];
        double[] otherS = new double[n];
        for (int k = 0; k < n; k++) {
            differences[k] = ones.get(k).value() - others.get(k).value();
            oneS[k] = ones.get(k).atS();
            otherS[k] = others.get(k).atS();
        }
        Effect seen = new Spread(metric.scale().leastSpread(), Optional.empty()).effect(differences);
        if (!seen.hasEnoughRounds()) {
            return new Pair(one.name, other.name, seen, false);
        }
        double unseen = Fading.unseen(oneS, otherS);
        double ofMean = seen.standardError() * seen.standardError();
        Effect whole = new Effect(n, seen.mean(), OptionalDouble.of(Math.sqrt(n * (ofMean + unseen))), seen.degrees());
        return new Pair(one.name, other.name, whole, unseen > ofMean);
    }

    private static boolean isOneBand(Mark one, Mark other) {
        return one.band().isEmpty() || other.band().isEmpty() || one.band().equals(other.band());
    }

    /** What it came to, in a sentence: where it goes. */
    public String headline() {
        List<Place> places = places();
        if (places.isEmpty()) {
            return "Nothing was marked.";
        }
        String best = places.get(0).name();
        List<Against> all = differences();
        if (all.isEmpty()) {
            return "Only “" + best + "” was marked; a second place would show whether it is a good one.";
        }
        List<String> behind = namesWith(all, Verdict.BETTER, Verdict.SLIGHTLY_BETTER);
        List<String> alike = namesWith(all, Verdict.NO_DIFFERENCE);
        // where one has more marks than the other, the best mean can be behind in the pairs: that tells nothing either
        List<String> open = namesWith(all, Verdict.CANNOT_TELL, Verdict.TOO_FEW, Verdict.SLIGHTLY_WORSE, Verdict.WORSE);
        if (behind.isEmpty() && open.isEmpty()) {
            return "No difference that matters between " + best + " and " + Text.list(alike)
                    + ": use the place that is less work.";
        }
        if (behind.isEmpty()) {
            return "Can’t tell yet which place is better: " + best + " reads best, and can’t be told from "
                    + Text.list(open) + ".";
        }
        List<String> parts = new ArrayList<>();
        parts.add("really better than " + Text.list(behind));
        if (!alike.isEmpty()) {
            parts.add("no different from " + Text.list(alike) + " by anything that matters");
        }
        if (!open.isEmpty()) {
            parts.add("not yet distinguishable from " + Text.list(open));
        }
        return Text.capital(best) + ": " + String.join("; ", parts) + ".";
    }

    private static List<String> namesWith(List<Against> all, Verdict... verdicts) {
        return all.stream()
                .filter(a -> List.of(verdicts).contains(a.verdict()))
                .map(Against::place)
                .toList();
    }

    /** A difference in a sentence, with how sure it is and what to do about it. */
    public String sentence(Against against) {
        if (against.estimate().isEmpty()) {
            return "heard on different bands from " + against.best() + ", so their levels do not compare the places";
        }
        String by = new Amount(metric, against.best()).of(-against.estimate().getAsDouble());
        if (against.low().isEmpty()) {
            return by + "; a verdict takes " + Amount.number(FEWEST) + " marks at each";
        }
        String sure = "from "
                + metric.scale()
                        .format(against.low().getAsDouble(), against.high().getAsDouble()) + ", "
                + Sentences.sureness(against.level()) + " sure";
        return switch (against.verdict()) {
            case BETTER -> by + ": a real difference (" + sure + ")";
            case SLIGHTLY_BETTER -> by + ": a real difference, but a small one (" + sure + ")";
            case NO_DIFFERENCE -> "no difference that matters (" + sure + ")";
            default -> by + " or none at all: can’t tell yet (" + sure + "); " + advice(against);
        };
    }

    private static String advice(Against against) {
        return against.hasDrifted()
                ? "they were marked one after the other while the signal changed: next time go back and forth"
                : "make more marks at each, or use the place that is less work";
    }
}

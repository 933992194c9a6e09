package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import syntoma.core.reading.Figure;
import syntoma.core.verdict.Comparison;

/**
 * What follows on a trial of bands held alone: the best of them together, beside automatic and the best alone. A device that is held
 * to one band cannot add carriers up; whether two together do better than what the network picks is a question of its own, and only
 * worth its time for the bands that did best.
 *
 * @param choices automatic first, as the baseline, then the best alone, then the best together
 */
public record BandStage(String says, List<Template.Choice> choices) {
    /** One band, and as many as a device that is held to bands puts together. */
    private static final int MOST_TOGETHER = 3;

    /**
     * Who was in the trial.
     *
     * @param name under which it was measured
     * @param variation what was changed about it
     */
    public record Tried(String name, String carrier, Optional<Variation> variation) {
        private boolean isAlone() {
            return variation
                    .filter(v -> v.kind() == Variation.Kind.BANDS && v.bands().size() == 1)
                    .isPresent();
        }

        private boolean isOfBands() {
            return variation.filter(v -> v.kind() == Variation.Kind.BANDS).isPresent();
        }

        private String band() {
            return variation.orElseThrow().bands().get(0);
        }
    }

    private record Alone(String band, Comparison against) {}

    /**
     * The second stage of a trial; empty where it was none of bands alone beside automatic, or fewer than two bands were measured.
     *
     * @param against automatic, each contender on the figure that matters most
     */
    public static Optional<BandStage> after(List<Tried> tried, List<Comparison> against) {
        List<Tried> free = tried.stream().filter(t -> t.variation.isEmpty()).toList();
        if (free.size() != 1 || tried.stream().filter(Tried::isOfBands).count() != tried.size() - 1L) {
            return Optional.empty();
        }
        Tried automatic = free.get(0);
        List<Alone> best = tried.stream()
                .filter(Tried::isAlone)
                .flatMap(t -> against.stream()
                        .filter(c -> c.baseline().equals(automatic.name)
                                && c.candidate().equals(t.name)
                                && c.estimate().isPresent())
                        .map(c -> new Alone(t.band(), c)))
                .sorted(Comparator.comparingDouble(BandStage::worth).reversed())
                .toList();
        return best.size() < 2 ? Optional.empty() : Optional.of(of(automatic, best));
    }

    private static BandStage of(Tried automatic, List<Alone> best) {
        List<Template.Choice> choices = new ArrayList<>();
        choices.add(new Template.Choice(automatic.name, automatic.carrier, Optional.empty()));
        IntStream.rangeClosed(1, together(best))
                .mapToObj(n -> String.join(
                        " + ", best.stream().limit(n).map(Alone::band).toList()))
                .map(bands -> new Variation(Variation.Kind.BANDS, bands))
                .map(held -> new Template.Choice(automatic.name, automatic.carrier, Optional.of(held)))
                .forEach(choices::add);
        return new BandStage(
                "Alone, " + said(best.get(0)) + " and " + said(best.get(1))
                        + " did best against automatic. Held together a device may add them up.",
                choices);
    }

    /** Two; a third where it is no worse than the second by what matters. */
    private static int together(List<Alone> best) {
        if (best.size() < MOST_TOGETHER) {
            return 2;
        }
        double margin = best.get(0).against.metric().scale().margin();
        return worth(best.get(1)) - worth(best.get(2)) < margin ? MOST_TOGETHER : 2;
    }

    /** How it did against automatic on the scale of the figure, more being better. */
    private static double worth(Alone alone) {
        Figure metric = alone.against.metric();
        double difference = metric.scale().on(alone.against.estimate().orElseThrow());
        return metric.comparing().higherIsBetter() ? difference : -difference;
    }

    private static String said(Alone alone) {
        return alone.band + " ("
                + alone.against.metric().scale().said(alone.against.estimate().orElseThrow()) + ")";
    }
}

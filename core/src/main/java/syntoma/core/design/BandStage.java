package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import syntoma.core.design.FollowingTrial.TriedSetup;
import syntoma.core.verdict.Comparison;

/**
 * What follows on a trial of locked bands alone: the best of them together, beside automatic and the best alone. A device that is held
 * to one band cannot add carriers up; whether two together do better than what the network picks is a question of its own, and only
 * worth its time for the bands that did best.
 */
public final class BandStage {
    /** One band, and as many as a device that is held to bands puts together. */
    private static final int MOST_TOGETHER = 3;

    private BandStage() {}

    private static boolean isAlone(TriedSetup tried) {
        return isOfBands(tried) && tried.variation().orElseThrow().bands().size() == 1;
    }

    private static boolean isOfBands(TriedSetup tried) {
        return tried.variation().filter(v -> v.kind() == Variation.Kind.BANDS).isPresent();
    }

    private static String band(TriedSetup tried) {
        return tried.variation().orElseThrow().bands().get(0);
    }

    private record Alone(String band, Comparison against) {}

    /**
     * The second stage of a trial; empty where it was none of bands alone beside automatic, or fewer than two bands were measured.
     *
     * @param against automatic, each contender on the figure that matters most
     */
    public static Optional<FollowingTrial> after(List<TriedSetup> tried, List<Comparison> against) {
        List<TriedSetup> free =
                tried.stream().filter(t -> t.variation().isEmpty()).toList();
        if (free.size() != 1 || tried.stream().filter(BandStage::isOfBands).count() != tried.size() - 1L) {
            return Optional.empty();
        }
        TriedSetup automatic = free.get(0);
        List<Alone> best = tried.stream()
                .filter(BandStage::isAlone)
                .flatMap(t -> against.stream()
                        .filter(c -> c.baseline().equals(automatic.name())
                                && c.candidate().equals(t.name())
                                && c.estimate().isPresent())
                        .map(c -> new Alone(band(t), c)))
                .sorted(Comparator.comparingDouble(BandStage::worth).reversed())
                .toList();
        return best.size() < 2 ? Optional.empty() : Optional.of(of(automatic, best));
    }

    private static FollowingTrial of(TriedSetup automatic, List<Alone> best) {
        List<Template.Choice> choices = new ArrayList<>();
        choices.add(new Template.Choice(automatic.name(), automatic.carrier(), Optional.empty()));
        IntStream.rangeClosed(1, countToCombine(best))
                .mapToObj(n -> String.join(
                        " + ", best.stream().limit(n).map(Alone::band).toList()))
                .map(bands -> new Variation(Variation.Kind.BANDS, bands))
                .map(held -> new Template.Choice(automatic.name(), automatic.carrier(), Optional.of(held)))
                .forEach(choices::add);
        return new FollowingTrial(
                "Alone, " + describe(best.get(0)) + " and " + describe(best.get(1))
                        + " did best compared with automatic. Locked together, the device may combine them.",
                "Plan a trial of the best bands together",
                choices);
    }

    /** Two; a third where it is no worse than the second by what matters. */
    private static int countToCombine(List<Alone> best) {
        if (best.size() < MOST_TOGETHER) {
            return 2;
        }
        double margin = best.get(0).against.metric().scale().margin();
        return worth(best.get(1)) - worth(best.get(2)) < margin ? MOST_TOGETHER : 2;
    }

    private static double worth(Alone alone) {
        return alone.against.advantage().orElseThrow();
    }

    private static String describe(Alone alone) {
        return alone.band + " ("
                + alone.against.metric().scale().format(alone.against.estimate().orElseThrow()) + ")";
    }
}

package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.stat.inference.TTest;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Values;
import syntoma.core.verdict.MeasuredGain;

/**
 * The chain brings less than it should: measured more than 6 dB beneath its prediction (methods, section 3), or less
 * since some day than before at the same place, where the other setups do not.
 */
final class ChainFault implements Rule {
    /** Levels are compared where the mast is the same: at one campsite, on one carrier and band. */
    private record Place(long campsite, String carrier, String band) {}

    /** Enough to look away from one bad reading, on each side of the day; of the others to hold it against. */
    private static final int FEWEST = 4;

    private static final int FEWEST_OTHERS = 2;
    private static final double DROP_DB = 4;

    /** Where the others fall by half as much, it is the place. */
    private static final double OTHERS_SHARE = 0.5;

    /** Over all days that could be the one (Bonferroni). */
    private static final double P = 0.01;

    /** A day since which it hears less; how often it was read before and since. */
    private record Break(Seen since, double dropDb, int before, int after, double p) {}

    @Override
    public Optional<Claim> look(Situation s) {
        List<String> evidence = new ArrayList<>();
        boolean sure = false;
        if (s.chain().shortDb() > 0) {
            evidence.add("measured at least " + Values.rounded(s.chain().shortDb(), 0)
                    + " dB beneath what its sheets promise, side by side with another setup");
            sure = true;
        }
        Optional<Break> worse = worse(s);
        worse.ifPresent(b -> evidence.add("since about " + Said.day(b.since.at()) + " " + s.setup() + " hears "
                + Values.rounded(b.dropDb, 0) + " dB less than before at the same place, and your other setups do not ("
                + b.before + " readings before, " + b.after + " since)"));
        if (evidence.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Claim(
                Cause.CHAIN_FAULT,
                sure ? Sure.SURELY : Sure.LIKELY,
                "Something in the chain of " + s.setup() + " is not doing its job.",
                evidence,
                MeasuredGain.USUAL_CAUSES));
    }

    private static Optional<Break> worse(Situation s) {
        Map<Place, List<Seen>> there = s.seen().stream()
                .filter(o -> o.ok() && o.rsrpDbm().isPresent())
                .sorted(Comparator.comparing(Seen::at))
                .collect(Collectors.groupingBy(o -> new Place(o.campsite(), o.carrier(), o.band())));
        return there.values().stream()
                .flatMap(together -> worse(s.setup(), together).stream())
                .min(Comparator.comparingDouble(Break::p));
    }

    private static Optional<Break> worse(String setup, List<Seen> together) {
        List<Seen> own = together.stream().filter(o -> o.setup().equals(setup)).toList();
        List<Seen> others =
                together.stream().filter(o -> !o.setup().equals(setup)).toList();
        int days = own.size() - 2 * FEWEST + 1;
        return IntStream.rangeClosed(FEWEST, own.size() - FEWEST)
                .mapToObj(at -> broken(own, at, others))
                .flatMap(Optional::stream)
                .filter(b -> b.p * days < P)
                .min(Comparator.comparingDouble(Break::p));
    }

    private static Optional<Break> broken(List<Seen> own, int at, List<Seen> others) {
        Seen since = own.get(at);
        double[] before = levels(own.subList(0, at));
        double[] after = levels(own.subList(at, own.size()));
        double drop = mean(before) - mean(after);
        double[] othersBefore =
                levels(others.stream().filter(o -> o.at().isBefore(since.at())).toList());
        double[] othersAfter =
                levels(others.stream().filter(o -> !o.at().isBefore(since.at())).toList());
        if (drop < DROP_DB
                || othersBefore.length < FEWEST_OTHERS
                || othersAfter.length < FEWEST_OTHERS
                || mean(othersBefore) - mean(othersAfter) > OTHERS_SHARE * drop) {
            return Optional.empty();
        }
        return Optional.of(new Break(since, drop, before.length, after.length, new TTest().tTest(before, after)));
    }

    private static double[] levels(List<Seen> of) {
        return of.stream().mapToDouble(o -> o.rsrpDbm().getAsDouble()).toArray();
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElse(0);
    }
}

package syntoma.core.diagnosis;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Since when a setup hears less than it did, within one stay, compared with the setup that was read beside it most often there.
 *
 * <p>Within a stay nothing is parked elsewhere, so that its hours are the units: the mean difference of each hour in which both were
 * read on one carrier and band. The statistic is the largest t of all hours that could be the one; its chance comes from the same
 * statistic of normal noise (as the likelihood ratio test for one change point, Hawkins 1977), corrected over the stays that were looked
 * at (Bonferroni). What changed from one stay to another is told by {@link Situation.HeardLess}.
 *
 * @param firstRun the first reading after it
 * @param otherSetup the setup it is compared with
 * @param dropDb by so much less
 * @param runsBefore hours before it
 * @param p how often chance gives as much in a series of its length
 */
record HearsLess(ObservedRun firstRun, String otherSetup, double dropDb, int runsBefore, int runsAfter, double p) {
    /** Fewest hours on each side. */
    private static final int FEWEST = 4;

    /** Less than this is within what a turned antenna or wet leaves do. */
    private static final double LEAST_DB = 4;

    /** Chosen, so that it claims in fewer than one in two hundred sound logs. */
    private static final double LEVEL = 0.0045;

    /** Figures in whole dB scatter at least so much. */
    private static final double LEAST_SD = 0.41;

    private static final int PATHS = 4_000;

    /** Fixed, so that the same log says the same. */
    private static final long SEED = 20_260_815L;

    /** Levels are compared at one stay, on one carrier and band. */
    private record Air(long stay, String carrier, String band) {
        static Air of(ObservedRun seen) {
            return new Air(seen.stay(), seen.carrier(), seen.band());
        }
    }

    /** Both setups within one hour. */
    private record Difference(ObservedRun first, double db) {}

    /** Where it is least likely to be chance; empty where it may well be. */
    static Optional<HearsLess> of(String setup, List<ObservedRun> seen) {
        List<HearsLess> looked = seen.stream()
                .filter(s -> s.hasSucceeded() && s.rsrpDbm().isPresent())
                .sorted(Comparator.comparing(ObservedRun::at))
                .collect(Collectors.groupingBy(Air::of))
                .values()
                .stream()
                .flatMap(air -> besideMost(setup, air).stream())
                .toList();
        return looked.stream().filter(h -> h.p * looked.size() < LEVEL).min(Comparator.comparingDouble(HearsLess::p));
    }

    private static long hour(ObservedRun seen) {
        return seen.at().toEpochSecond() / Duration.ofHours(1).toSeconds();
    }

    /** Compared with the setup beside which it was read in the most hours; empty where none has enough of them. */
    private static Optional<HearsLess> besideMost(String setup, List<ObservedRun> air) {
        Map<String, List<Difference>> beside = new TreeMap<>();
        for (List<ObservedRun> together : air.stream()
                .collect(Collectors.groupingBy(HearsLess::hour, TreeMap::new, Collectors.toList()))
                .values()) {
            Map<String, List<ObservedRun>> bySetup =
                    together.stream().collect(Collectors.groupingBy(ObservedRun::setup));
            List<ObservedRun> own = bySetup.remove(setup);
            if (own != null) {
                bySetup.forEach((other, readings) -> beside.computeIfAbsent(other, o -> new ArrayList<>())
                        .add(new Difference(own.get(0), mean(own) - mean(readings))));
            }
        }
        return beside.entrySet().stream()
                .max(Comparator.comparingInt(e -> e.getValue().size()))
                .filter(e -> e.getValue().size() >= 2 * FEWEST)
                .map(e -> largest(e.getKey(), e.getValue()));
    }

    private static HearsLess largest(String other, List<Difference> differences) {
        Series series =
                new Series(differences.stream().mapToDouble(Difference::db).toArray());
        int at = series.largest();
        double drop = series.drop(at);
        return new HearsLess(
                differences.get(at).first,
                other,
                drop,
                at,
                differences.size() - at,
                drop < LEAST_DB ? 1 : p(series.t(at), differences.size()));
    }

    /** How often the largest t of normal noise is as large. */
    private static double p(double t, int length) {
        Random random = new Random(SEED);
        int asMuch = 1;
        for (int path = 0; path < PATHS; path++) {
            double[] noise = new double[length];
            for (int i = 0; i < length; i++) {
                // large, so that the least spread plays no part
                noise[i] = 100 * random.nextGaussian();
            }
            Series series = new Series(noise);
            asMuch += series.t(series.largest()) >= t ? 1 : 0;
        }
        return asMuch / (PATHS + 1.0);
    }

    /** Differences in the order of time, by their running sums. */
    private static final class Series {
        private final double[] sums;
        private final double squares;

        Series(double[] values) {
            sums = new double[values.length + 1];
            double all = 0;
            for (int i = 0; i < values.length; i++) {
                sums[i + 1] = sums[i] + values[i];
                all += values[i] * values[i];
            }
            squares = all;
        }

        private int length() {
            return sums.length - 1;
        }

        /** The split with the largest t, of those with enough on each side. */
        int largest() {
            int at = FEWEST;
            double most = t(at);
            for (int split = FEWEST + 1; split <= length() - FEWEST; split++) {
                double t = t(split);
                if (t > most) {
                    most = t;
                    at = split;
                }
            }
            return at;
        }

        /** By how much the mean before a split lies above the mean from it on. */
        double drop(int split) {
            return sums[split] / split - (sums[length()] - sums[split]) / (length() - split);
        }

        /** Student’s t of that, with one variance on both sides. */
        double t(int split) {
            int rest = length() - split;
            double second = sums[length()] - sums[split];
            double about = squares - sums[split] * sums[split] / split - second * second / rest;
            double sd = Math.max(LEAST_SD, Math.sqrt(Math.max(0, about) / (length() - 2)));
            return drop(split) / (sd * Math.sqrt(1.0 / split + 1.0 / rest));
        }
    }

    private static double mean(List<ObservedRun> of) {
        return of.stream().mapToDouble(s -> s.rsrpDbm().getAsDouble()).average().orElseThrow();
    }

    /** As it is given as evidence. */
    String sentence(String setup) {
        return "since about " + EvidenceText.day(firstRun.at()) + " " + setup + " hears " + Values.round(dropDb, 0)
                + " dB less than before, compared with " + otherSetup + " at the same times ("
                + Text.count(runsBefore, "hour") + " before, " + runsAfter + " since)";
    }
}

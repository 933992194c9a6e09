package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import syntoma.core.run.RunKind;
import syntoma.core.state.RigState;
import syntoma.core.state.Work;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What a trial is to answer, and with what.
 *
 * @param contenders two to eight, or up to sixteen that are screened; the first of them is the baseline
 * @param difference the ratio that is worth knowing, above 1
 * @param noise as the figure that matters scatters here
 * @param rates what each contender is expected to bring, in their order
 * @param work the minutes of each kind of work
 * @param start what is where before it
 * @param minutes that there are
 * @param gb that may be used
 * @param saving what is to be saved where there is a choice
 * @param sessions over how many times of day it is spread; 1 for all at once
 */
public record Question(
        List<Contender> contenders,
        double difference,
        Noise noise,
        RunKind kind,
        List<Rates> rates,
        Map<Work, Double> work,
        RigState start,
        Order order,
        long seed,
        OptionalDouble minutes,
        OptionalDouble gb,
        Saving saving,
        int sessions) {
    /** As many as one trial can tell apart; of more it is a screening. */
    public static final int MOST_CONTENDERS = 8;

    /** More of them no day is long enough for. */
    public static final int MOST_SCREENED = 16;

    /** The ratio that is worth an evening, where nothing else was asked for. Chosen. */
    public static final double USUAL_DIFFERENCE = 1.4;

    private static final double SMALLEST_DIFFERENCE = 1.05;
    private static final double LARGEST_DIFFERENCE = 10;
    private static final double LONGEST_MINUTES = 7 * 24 * 60;
    private static final double MOST_GB = 10_000;

    /**
     * What a contender is expected to bring, in Mb/s.
     *
     * @param isKnown whether it was measured, or is only what is usual
     * @param failures so many of the runs that were tried failed
     */
    public record Rates(double downMbps, double upMbps, boolean isKnown, int failures, int attempts) {
        private static final double BYTES_PER_GB = 1e9;

        /** How many runs that did not fail are added, so that one that failed alone does not promise that all will. Chosen. */
        private static final int STEADYING = 2;

        /** Rates of a contender that never failed. */
        public static Rates of(double downMbps, double upMbps, boolean known) {
            return new Rates(downMbps, upMbps, known, 0, 0);
        }

        /** The share of visits with so many runs that bring nothing. */
        double lostVisits(int runs) {
            return Math.pow((double) failures / (attempts + STEADYING), runs);
        }

        /** What a run of a kind takes of the plan, in GB. */
        public double gbOfRun(RunKind kind) {
            return (kind.usualBytes(downMbps) + kind.usualBytes(upMbps)) / BYTES_PER_GB;
        }
    }

    /** What is to be saved. */
    public enum Saving {
        TIME,
        DATA;

        /** Where nothing else was asked for. */
        public static final Saving USUAL = TIME;

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @throws IllegalArgumentException naming what is wrong, and what is allowed
     */
    public Question {
        contenders = List.copyOf(contenders);
        rates = List.copyOf(rates);
        if (contenders.size() < 2 || contenders.size() > MOST_SCREENED) {
            throw new IllegalArgumentException("contenders are " + contenders.size() + "; allowed are 2 to "
                    + MOST_SCREENED + ", to be compared with one another");
        }
        List<String> names = contenders.stream().map(c -> c.name(true)).toList();
        names.stream()
                .collect(Collectors.groupingBy(name -> name, Collectors.counting()))
                .forEach((name, times) -> {
                    if (times > 1) {
                        throw new IllegalArgumentException("contenders have " + Text.quote(name) + " " + times
                                + " times; each can be in a trial once");
                    }
                });
        contenders.stream()
                .filter(c -> !c.arrangement().isAllowed())
                .findFirst()
                .ifPresent(c -> {
                    throw new IllegalArgumentException(
                            "contenders has " + c.name(true) + "; " + c.deviceName() + " takes SIMs of "
                                    + c.arrangement().device().lockedTo().orElseThrow() + " only");
                });
        Values.within("difference", difference, SMALLEST_DIFFERENCE, LARGEST_DIFFERENCE, "times");
        minutes.ifPresent(m -> Values.within("minutes", m, 1, LONGEST_MINUTES, "min"));
        Values.within("spread", sessions, 1, Sessions.MOST, "times of day");
        gb.ifPresent(g -> Values.within("gb", g, 0.001, MOST_GB, "GB"));
    }

    /** What the usual difference means to a person. */
    public static String usualDifferenceSays() {
        return Values.format(USUAL_DIFFERENCE) + ": you care if one is at least "
                + Values.round((USUAL_DIFFERENCE - 1) * 100, 0)
                + " % faster. Smaller differences need more rounds.";
    }

    /** What is told of contenders whose change-overs nobody can know; empty where all are known. */
    public Optional<String> unknownParts() {
        List<String> unknown = contenders.stream()
                .filter(c -> !c.isKnown())
                .map(Contender::setup)
                .distinct()
                .toList();
        return unknown.isEmpty()
                ? Optional.empty()
                : Optional.of("Gear does not say what " + Text.list(unknown)
                        + (unknown.size() == 1 ? " is" : " are") + " made of, so the work of changing to "
                        + (unknown.size() == 1 ? "it" : "them") + " is not known: "
                        + Math.round(work.get(Work.UNKNOWN)) + " min are allowed each time.");
    }

    /** What is told of failures that were seen and are allowed for; empty where none were. */
    public Optional<String> failures() {
        List<String> failed = IntStream.range(0, rates.size())
                .filter(i -> rates.get(i).failures > 0 && !isVariant(i))
                .mapToObj(i -> contenders.get(i).name(hasSeveralCarriers()) + " failed in " + rates.get(i).failures
                        + " of " + Text.count(rates.get(i).attempts, "run") + " so far")
                .toList();
        return failed.isEmpty()
                ? Optional.empty()
                : Optional.of(Text.list(failed) + ": the plan allows for such lost rounds.");
    }

    /** Whether it is another contender with something changed: what is known of it is what is known of that one. */
    private boolean isVariant(int place) {
        Contender own = contenders.get(place);
        return contenders.stream()
                .anyMatch(c -> own.carrier().equals(c.carrier()) && own.setup().startsWith(c.setup() + ", "));
    }

    /** The share of rounds that tell something of the pair that fails most, with so many runs at each visit. */
    double usableRounds(int runs) {
        return rates.stream()
                .map(r -> r.lostVisits(runs))
                .sorted(Comparator.reverseOrder())
                .limit(2)
                .reduce(1.0, (usable, lost) -> usable * (1 - lost));
    }

    /** Whether there are too many to tell apart, so that the best go on to a trial of their own. */
    boolean isScreening() {
        return contenders.size() > MOST_CONTENDERS;
    }

    /** How many pairs are judged together. */
    int family() {
        return contenders.size() * (contenders.size() - 1) / 2;
    }

    /** Whether they are on several carriers. */
    public boolean hasSeveralCarriers() {
        return contenders.stream().map(Contender::carrier).distinct().count() > 1;
    }

    Question without(int place) {
        List<Contender> fewer = new ArrayList<>(contenders);
        List<Rates> fewerRates = new ArrayList<>(rates);
        fewer.remove(place);
        fewerRates.remove(place);
        return new Question(
                fewer, difference, noise, kind, fewerRates, work, start, order, seed, minutes, gb, saving, sessions);
    }

    Question with(RunKind other) {
        return new Question(
                contenders, difference, noise, other, rates, work, start, order, seed, minutes, gb, saving, sessions);
    }
}

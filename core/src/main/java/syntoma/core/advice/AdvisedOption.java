package syntoma.core.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * An option with what it may be expected to bring.
 *
 * @param outlook for the hours in which the needs are hardest to meet
 * @param hours those hours
 * @param chance that a run in them meets the need, 0 to 1
 * @param uncertain by how much the chance moves where the mean of its figures lies one standard deviation off
 * @param times the chance now and in the hours of each need; empty where all is needed now
 */
public record AdvisedOption(
        Option option, Outlook outlook, NeededHours hours, double chance, double uncertain, List<ChanceAt> times) {
    /** The chance at a time of the day. @param what is met when, in words, such as “HD film this evening” */
    public record ChanceAt(String need, double chance) {}

    /** Chances that are no farther apart count as equal (docs/methods.md#13-advice). */
    public static final double EQUAL = 0.05;

    /** However little is known, chances farther apart than this do not count as equal: it would be hiding what is known. Chosen. */
    private static final double EQUAL_AT_MOST = 0.1;

    /** Nothing is promised with more than that after one run, or none; chosen. */
    public static final double MOST_AFTER_ONE_RUN = 0.7;

    private static final double ONE_SD = 1;

    /** With this many runs the mean counts as known. */
    private static final int MANY_RUNS = 10_000;

    private static final Comparator<AdvisedOption> BY_CHANCE =
            Comparator.comparingDouble(AdvisedOption::chance).reversed();

    private static final Comparator<AdvisedOption> BY_EFFORT = Comparator.<AdvisedOption>comparingDouble(
                    a -> a.option.minutes())
            .thenComparingDouble(a -> a.option.pricePerGb().orElse(Double.POSITIVE_INFINITY))
            .thenComparing(BY_CHANCE);

    /**
     * An option with its chance of what is needed now.
     *
     * @param runs so many there were of it, anywhere
     */
    public static AdvisedOption of(Option option, Outlook outlook, Outlook.RunRequirement asked, int runs) {
        return of(
                option,
                List.of(new NeededHours(DayPart.DAY, "", NeededHours.NOW, asked)),
                p -> outlook,
                DayPart.DAY,
                runs);
    }

    /**
     * An option with its chance in the hours in which it is needed.
     *
     * @param needed the hours of the needs
     * @param outlooks what the option may be expected to bring in a part of the day, here
     * @param runs so many there were of it, anywhere
     */
    public static AdvisedOption of(
            Option option, List<NeededHours> needed, Function<DayPart, Outlook> outlooks, DayPart now, int runs) {
        NeededHours hardest = needed.stream()
                .min(Comparator.comparingDouble(h -> outlooks.apply(h.part()).chance(h.requirement())))
                .orElseThrow();
        Outlook outlook = outlooks.apply(hardest.part());
        double up = outlook.afterRuns(ONE_SD, MANY_RUNS).chance(hardest.requirement());
        double down = outlook.afterRuns(-ONE_SD, MANY_RUNS).chance(hardest.requirement());
        List<ChanceAt> times = new ArrayList<>();
        if (!needed.stream().allMatch(NeededHours::isNow)) {
            NeededHours present =
                    needed.stream().filter(NeededHours::isNow).findFirst().orElse(hardest);
            times.add(new ChanceAt(
                    present.needs() + " " + NeededHours.NOW,
                    promisedChance(outlooks.apply(now).chance(present.requirement()), runs)));
            needed.stream()
                    .filter(h -> !h.isNow())
                    .forEach(h -> times.add(new ChanceAt(
                            h.needs() + " " + h.text(),
                            promisedChance(outlooks.apply(h.part()).chance(h.requirement()), runs))));
        }
        return new AdvisedOption(
                option,
                outlook,
                hardest,
                promisedChance(outlook.chance(hardest.requirement()), runs),
                Math.abs(up - down) / 2,
                times);
    }

    private static double promisedChance(double chance, int runs) {
        return runs > 1 ? chance : Math.min(chance, MOST_AFTER_ONE_RUN);
    }

    /**
     * In the order in which to offer them: by the chance to meet the need; of those that are about as likely as the best that is left,
     * the one that is the least work, then the one whose data costs least.
     */
    public static List<AdvisedOption> rank(List<AdvisedOption> options) {
        List<AdvisedOption> left = new ArrayList<>(options);
        left.sort(BY_CHANCE);
        List<AdvisedOption> ranked = new ArrayList<>();
        while (!left.isEmpty()) {
            AdvisedOption best = left.get(0);
            AdvisedOption next = left.stream()
                    .filter(a -> a.isAboutAsLikelyAs(best))
                    .min(BY_EFFORT)
                    .orElseThrow();
            left.remove(next);
            ranked.add(next);
        }
        return List.copyOf(ranked);
    }

    /** The same, but what was proven here goes before what is predicted. */
    public static List<AdvisedOption> rank(List<AdvisedOption> options, List<StayVerdict> proven) {
        List<AdvisedOption> ranked = new ArrayList<>(rank(options));
        // as often as there are options at most: verdicts that go round in a circle end too
        for (int round = 0; round < ranked.size(); round++) {
            boolean moved = false;
            for (StayVerdict one : proven) {
                moved |= isBefore(ranked, one);
            }
            if (!moved) {
                break;
            }
        }
        return List.copyOf(ranked);
    }

    private static boolean isBefore(List<AdvisedOption> ranked, StayVerdict proven) {
        for (int worse = 0; worse < ranked.size(); worse++) {
            for (int better = worse + 1; better < ranked.size(); better++) {
                if (proven.decides(ranked.get(better).option, ranked.get(worse).option)) {
                    ranked.add(worse, ranked.remove(better));
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether the chances of the two differ by less than they are uncertain: the standard deviation of their difference. */
    boolean isAboutAsLikelyAs(AdvisedOption other) {
        double ofBoth = Math.hypot(uncertain, other.uncertain);
        return Math.abs(chance - other.chance) <= Math.max(EQUAL, Math.min(EQUAL_AT_MOST, ofBoth));
    }
}

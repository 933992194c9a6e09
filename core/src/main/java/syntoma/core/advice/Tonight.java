package syntoma.core.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;

/**
 * What to do tonight.
 *
 * @param rankedOptions all options, the one to take first
 * @param asItIs what is up now, among them; empty where nothing is, or where it is no option
 * @param bestElsewhere what the best option may be expected to bring at a campsite where one has never been
 * @param silence the carriers that nothing was heard of at this stay
 * @param proven what comparisons made here decided, by which the options are ranked too
 */
public record Tonight(
        List<AdvisedOption> rankedOptions,
        Optional<AdvisedOption> asItIs,
        Optional<AdvisedOption> bestElsewhere,
        Silence silence,
        List<StayVerdict> proven) {
    /** A chance under which an option is not said to do. Chosen: an even bet. */
    private static final double LIKELY = 0.5;

    /** A drive is worth it for so much more chance; chosen. */
    private static final double WORTH_A_DRIVE = 0.25;

    /** Nobody can tell 97 from 99 of 100; from here on it is said in words. */
    private static final double NEARLY_ALWAYS = 0.95;

    /** Whether moving on is the better bet: nothing here is likely to do, and elsewhere clearly more is. */
    public boolean movesOn() {
        double best = rankedOptions.isEmpty() ? 0 : rankedOptions.get(0).chance();
        return best < LIKELY
                && bestElsewhere.filter(e -> e.chance() > best + WORTH_A_DRIVE).isPresent();
    }

    /** Whether nothing was heard of any carrier on board. */
    public boolean isAllSilent() {
        return silence.areSilent(carriers());
    }

    private Set<String> carriers() {
        return rankedOptions.stream().map(a -> a.option().carrier()).collect(Collectors.toSet());
    }

    /**
     * What to do, in a sentence.
     *
     * @param need the names of the needs
     */
    public String says(String need) {
        if (rankedOptions.isEmpty()) {
            return "Measure once with each setup to get advice.";
        }
        if (isAllSilent()) {
            return "No carrier was heard here yet.";
        }
        AdvisedOption first = rankedOptions.get(0);
        String needed = first.times().size() > 1 ? first.hours().needs() : need;
        String name = first.option().setup() + " on " + first.option().carrier();
        if (need.isEmpty()) {
            return "Choose what you need the connection for to get advice.";
        }
        if (movesOn()) {
            return "Move on if you can: " + name + " is the best bet here, and should meet " + needed + " "
                    + chanceText(first.chance()) + hoursText(first) + ".";
        }
        boolean stays = asItIs.filter(first::equals).isPresent();
        return (stays ? "Leave it as it is: " + name + " " : "Use " + name + ": it ")
                + (first.chance() < LIKELY ? "is the best bet, and " : "") + "should meet " + needed + " "
                + chanceText(first.chance()) + hoursText(first) + ".";
    }

    private static String hoursText(AdvisedOption advised) {
        return advised.hours().isNow() ? "" : " " + advised.hours().text();
    }

    /** A chance as a person would say it. */
    private static String chanceText(double chance) {
        long tenths = Math.round(10 * chance);
        if (tenths == 0) {
            return "hardly ever";
        }
        return chance >= NEARLY_ALWAYS
                ? "nearly always"
                : "about " + tenths + (tenths == 1 ? " time" : " times") + " in 10";
    }

    /** What to try where no carrier was heard, in order; empty where one was. */
    public List<String> whatToTry() {
        if (!isAllSilent()) {
            return List.of();
        }
        List<String> tries = new ArrayList<>();
        if (silence.isOnlyInside(carriers())) {
            tries.add(
                    "Zero bars inside prove nothing: the roof hears about 12 dB more. Measure once with a roof antenna.");
        }
        tries.add("Raise the antenna as high as you safely can: "
                + rankedOptions.get(0).option().setup() + " on "
                + rankedOptions.get(0).option().carrier() + " has the best chance.");
        tries.add("Walk to higher ground with a phone or an antenna (Walk), and turn a directional antenna all round.");
        tries.add("Use satellite if you have it, or drive on.");
        tries.add(
                "Until something is heard you cannot call for help over the network: carry another way to call, such as a"
                        + " satellite messenger or a radio.");
        return List.copyOf(tries);
    }

    /**
     * Why an option is where it is in the list, in a sentence; empty where its chance alone says it.
     *
     * @param place from 0
     */
    public Optional<String> whyHere(int place) {
        AdvisedOption own = rankedOptions.get(place);
        Optional<AdvisedOption> beaten = rankedOptions.stream()
                .skip(place + 1L)
                .filter(a ->
                        a.chance() > own.chance() && proven.stream().anyMatch(p -> p.decides(own.option(), a.option())))
                .findFirst();
        if (beaten.isPresent()) {
            return Optional.of("Measured side by side here, it is the one to use instead of "
                    + beaten.get().option().setup() + ".");
        }
        boolean betterBelow = rankedOptions.stream()
                .skip(place + 1L)
                .anyMatch(a -> a.chance() > own.chance() || a.isAboutAsLikelyAs(own));
        boolean betterAbove = rankedOptions.stream().limit(place).anyMatch(a -> a.isAboutAsLikelyAs(own));
        if (place == 0 && betterBelow) {
            boolean dearer = rankedOptions.stream()
                    .skip(place + 1L)
                    .anyMatch(a -> a.isAboutAsLikelyAs(own)
                            && a.option().minutes() == own.option().minutes()
                            && a.option().pricePerGb().orElse(0)
                                    > own.option().pricePerGb().orElse(0));
            return Optional.of(
                    "About as likely as the next ones, and less work" + (dearer ? " with the cheapest data." : "."));
        }
        if (betterAbove) {
            double more = own.option().minutes() - rankedOptions.get(0).option().minutes();
            return more < 1
                    ? Optional.of("About as likely as the first.")
                    : Optional.of("About as likely as the first, and " + Text.count((int) Math.round(more), "minute")
                            + " more work.");
        }
        return Optional.empty();
    }

    /** A quick test, in a sentence. @param minutes of work and runs */
    public static String says(QuickTest test, double minutes) {
        String of = test.of().option().setup() + " on " + test.of().option().carrier();
        String against = test.against().option().setup() + " on "
                + test.against().option().carrier();
        long whole = Math.max(1, Math.round(minutes));
        return "A test of " + Text.count((int) whole, "minute") + " would likely settle it: " + of + " against "
                + against + ".";
    }
}

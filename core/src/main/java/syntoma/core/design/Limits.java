package syntoma.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import syntoma.core.run.RunKind;

/** What a trial cannot answer. */
final class Limits {
    private Limits() {}

    static List<String> of(Question question, double seen, double chance) {
        List<String> cannot = new ArrayList<>();
        cannot.add(
                question.isScreening()
                        ? "Which one is best: that takes the trial of the best " + Screening.KEPT + ". One that is "
                                + Planner.times(question.difference())
                                + " ahead of all others is among them with a chance of "
                                + Math.round(100 * chance) + " %."
                        : "Whether there is a difference under " + Planner.times(seen)
                                + ": it would probably be missed.");
        changesAtOnce(question).ifPresent(cannot::add);
        if (question.kind() == RunKind.LATENCY) {
            cannot.add("Which is faster: latency runs do not measure speed.");
        }
        cannot.add(
                question.sessions() > 1
                        ? "What happens at another campsite, which has other cells."
                        : "What happens at another hour or campsite: cells are busier in the evening, and other places have other cells.");
        return cannot;
    }

    /** Where more than one thing differs between contenders, and never one alone, it is not told which one does it. */
    private static Optional<String> changesAtOnce(Question question) {
        List<Contender> all = question.contenders();
        Contender first = all.get(0);
        Set<String> together = new TreeSet<>();
        for (Contender other : all.subList(1, all.size())) {
            List<String> changed = changedParts(first, other);
            boolean alone = all.stream()
                    .anyMatch(c -> changedParts(first, c).size() == 1
                            && changed.contains(changedParts(first, c).get(0)));
            if (changed.size() > 1 && !alone) {
                together.add(String.join(" and ", changed));
            }
        }
        return together.isEmpty()
                ? Optional.empty()
                : Optional.of("Which of several changes made together causes it: "
                        + together.stream().collect(Collectors.joining("; ")) + ".");
    }

    private static List<String> changedParts(Contender one, Contender other) {
        List<String> changed = new ArrayList<>();
        note(changed, "the carrier", one, other, Contender::carrier);
        note(changed, "the device", one, other, Contender::device);
        note(changed, "the antennas", one, other, Contender::antennas);
        note(changed, "the booster", one, other, Contender::booster);
        note(changed, "the bands", one, other, Contender::bands);
        note(changed, "how it is arranged", one, other, c -> c.arrangement().arranged());
        return changed;
    }

    private static void note(
            List<String> changed, String what, Contender one, Contender other, Function<Contender, Object> part) {
        if (!part.apply(one).equals(part.apply(other))) {
            changed.add(what);
        }
    }
}

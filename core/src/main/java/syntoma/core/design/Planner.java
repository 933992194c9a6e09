package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import syntoma.core.run.RunKind;
import syntoma.core.state.RigState;
import syntoma.core.unit.Values;
import syntoma.core.verdict.InterimLooks;
import syntoma.core.verdict.RoundsNeeded;

/**
 * Designs a trial: the fewest minutes (or bytes) with which a difference is seen with an 80 % chance; where there is less than that
 * takes, as much as there is room for, with what would help.
 */
public final class Planner {
    private final Question question;
    private final double effect;
    private final Course course;

    private Planner(Question question) {
        this.question = question;
        this.effect = Math.log(question.difference());
        this.course = new Course(question);
    }

    /**
     * What comes of it.
     *
     * @param chance that a difference of the size that was asked for is seen
     * @param smallestEffect the smallest ratio that is seen with an 80 % chance
     * @param fits whether there is the time and the data for it
     * @param isEnough whether the difference that was asked for is seen with an 80 % chance
     * @param advice what to drop or to shorten, where something does not fit
     * @param limits what it cannot answer
     */
    public record Design(
            Effort effort,
            double chance,
            double smallestEffect,
            boolean fits,
            boolean isEnough,
            List<String> advice,
            List<String> limits) {

        /** What it comes to, in words. */
        public String sentence(Question question) {
            String size = times(question.difference());
            String odds = Math.round(chance * 100) + " %";
            if (!fits) {
                return "There is not enough time or data for three rounds, the minimum for a verdict.";
            }
            String runs = effort.runs() == 1
                    ? "one " + question.kind().label() + " run"
                    : effort.runs() + " " + question.kind().label() + " runs";
            if (question.isScreening()) {
                return "Screen all " + question.contenders().size() + " first: " + effort.rounds() + " rounds with "
                        + runs
                        + " each, about " + Math.round(effort.minutes()) + " min and " + gigabytes(effort.gb())
                        + ". Then a trial of the best " + Screening.KEPT + " decides.";
            }
            String takes = effort.rounds() + " rounds with " + runs + " at each visit: about "
                    + Math.round(effort.minutes()) + " min and " + gigabytes(effort.gb()) + ". ";
            return isEnough
                    ? takes + "It has a chance of " + odds + " to show a difference of " + size + "."
                    : takes + "That shows " + times(smallestEffect) + "; the chance to show " + size + " is only "
                            + odds + ".";
        }
    }

    /** A ratio as one says it: ×1.5, ×3. */
    static String times(double ratio) {
        return "×" + Values.format(Math.round(ratio * 100) / 100.0);
    }

    private static String gigabytes(double gb) {
        return Values.round(gb, gb < 1 ? 2 : 1) + " GB";
    }

    /** Designs a trial. */
    public static Design design(Question question) {
        return new Planner(question).design();
    }

    /** What a trial of so many rounds, with so many runs at each visit, takes. */
    public static Effort effort(Question question, int rounds, int runs) {
        return new Course(question).effort(rounds, runs);
    }

    /** The visits that are still to be made, with what hands do for them from what is where now. */
    public static List<Visit> onFrom(RigState now, Question question, Remaining remaining) {
        return Course.onFrom(now, question.contenders(), remaining);
    }

    private Design design() {
        int[] rounds = wantedRounds(question);
        List<Effort> wanted = efforts(question, course, rounds);
        Optional<Effort> best = wanted.stream().filter(e -> e.fits(question)).min(cheapest());
        if (best.isPresent()) {
            return design(best.get(), true, true, List.of());
        }
        Optional<Effort> room = IntStream.rangeClosed(1, Noise.MOST_RUNS)
                .mapToObj(this::mostRounds)
                .flatMap(Optional::stream)
                .max(Comparator.comparingDouble(this::chance));
        Effort made = room.orElseGet(() -> course.effort(Sessions.rounds(InterimLooks.FEWEST, question.sessions()), 1));
        return design(
                made, room.isPresent(), false, advice(wanted.stream().min(cheapest()), rounds, made, room.isPresent()));
    }

    private Design design(Effort effort, boolean fits, boolean enough, List<String> advice) {
        double seen = question.isScreening()
                ? question.difference()
                : Math.exp(RoundsNeeded.smallestEffect(
                        sd(effort), question.usableRounds(effort.runs()), effort.rounds(), question.family()));
        return new Design(
                effort, chance(effort), seen, fits, enough, advice, Limits.of(question, seen, chance(effort)));
    }

    private double sd(Effort effort) {
        return question.noise().ofRound(effort.runs());
    }

    private double chance(Effort effort) {
        if (question.isScreening()) {
            double rounds = effort.rounds() * question.usableRounds(effort.runs());
            return Screening.chance(
                    question.contenders().size(), effect, question.noise().ofVisit(effort.runs()) / Math.sqrt(rounds));
        }
        return RoundsNeeded.chance(
                effect, sd(effort), question.usableRounds(effort.runs()), effort.rounds(), question.family());
    }

    /** By the number of runs at a visit the fewest rounds with which the difference is seen; 0 where twenty are too few. */
    private static int[] wantedRounds(Question question) {
        return IntStream.rangeClosed(1, Noise.MOST_RUNS)
                .map(runs -> {
                    OptionalInt rounds = roundsOf(question, runs);
                    int even = Sessions.rounds(rounds.orElse(0), question.sessions());
                    return even > InterimLooks.MOST ? 0 : even;
                })
                .toArray();
    }

    private static OptionalInt roundsOf(Question question, int runs) {
        double effect = Math.log(question.difference());
        return question.isScreening()
                ? Screening.rounds(
                        question.contenders().size(),
                        effect,
                        question.noise().ofVisit(runs),
                        question.usableRounds(runs))
                : RoundsNeeded.roundsToPlan(
                        effect, question.noise().ofRound(runs), question.usableRounds(runs), question.family());
    }

    private static List<Effort> efforts(Question question, Course course, int[] rounds) {
        return IntStream.rangeClosed(1, rounds.length)
                .filter(runs -> rounds[runs - 1] > 0)
                .mapToObj(runs -> course.effort(rounds[runs - 1], runs))
                .toList();
    }

    private Comparator<Effort> cheapest() {
        return question.saving() == Question.Saving.DATA
                ? Comparator.comparingDouble(Effort::gb).thenComparingDouble(Effort::minutes)
                : Comparator.comparingDouble(Effort::minutes).thenComparingDouble(Effort::gb);
    }

    /** As many rounds as there is room for; empty where there is none for three. */
    private Optional<Effort> mostRounds(int runs) {
        int sessions = question.sessions();
        return IntStream.iterate(InterimLooks.MOST, rounds -> rounds >= InterimLooks.FEWEST, rounds -> rounds - 1)
                .filter(rounds -> rounds % sessions == 0)
                .mapToObj(rounds -> course.effort(rounds, runs))
                .filter(effort -> effort.fits(question))
                .findFirst();
    }

    private List<String> advice(Optional<Effort> wanted, int[] rounds, Effort made, boolean hasRoom) {
        List<String> said = new ArrayList<>();
        String size = times(question.difference());
        said.add(wanted.map(effort -> "To see " + size + " with an 80 % chance it needs " + amount(effort) + ".")
                .orElse("More than " + InterimLooks.MOST + " rounds would be needed to see " + size
                        + " here; ask for a larger difference."));
        if (!hasRoom) {
            said.add("A verdict needs at least three rounds; they take " + amount(made) + ".");
        }
        if (question.contenders().size() > 2) {
            fewer().ifPresent(said::add);
        }
        if (question.kind() == RunKind.FULL) {
            said.addAll(lighter(rounds).stream().toList());
        }
        return said;
    }

    /** What it takes without the contender that costs most: one without which the rest fits, where there is such a one. */
    private Optional<String> fewer() {
        int[] rounds = wantedRounds(question.without(1));
        return IntStream.range(1, question.contenders().size())
                .mapToObj(place -> {
                    Question rest = question.without(place);
                    return efforts(rest, new Course(rest), rounds).stream()
                            .min(cheapest())
                            .map(effort -> new Without(place, effort, effort.fits(rest)));
                })
                .flatMap(Optional::stream)
                .min(Comparator.comparing((Without w) -> !w.fits).thenComparing(Without::effort, cheapest()))
                .map(w -> "Without "
                        + question.contenders().get(w.place).name(question.hasSeveralCarriers()) + " it needs "
                        + amount(w.effort) + room(w.fits));
    }

    private record Without(int place, Effort effort, boolean fits) {}

    private Optional<String> lighter(int[] rounds) {
        Question light = question.with(RunKind.LIGHT);
        return efforts(light, new Course(light), rounds).stream()
                .min(cheapest())
                .map(effort -> "With light runs it needs " + amount(effort) + room(effort.fits(light)));
    }

    private static String room(boolean fits) {
        return fits ? ", which fits." : ".";
    }

    private static String amount(Effort effort) {
        return Math.round(effort.minutes()) + " min and " + gigabytes(effort.gb()) + " in " + effort.rounds()
                + " rounds";
    }
}

package syntoma.core.design;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.state.Move;
import syntoma.core.state.RigState;
import syntoma.core.verdict.InterimLooks;

/** The visits of the longest trial in their order, and what a number of rounds of them takes. */
final class Course {
    /** After a change-over the device finds its cells again. */
    private static final int SETTLE_S = 60;

    /** A booster sets its gain by itself, which takes longer. */
    private static final int BOOSTER_SETTLE_S = 90;

    private final Question question;
    private final List<Visit> visits = new ArrayList<>();

    Course(Question question) {
        this.question = question;
        RigState state = question.start();
        List<List<Integer>> order =
                question.order().rounds(question.contenders().size(), InterimLooks.MOST, question.seed());
        for (int round = 0; round < order.size(); round++) {
            for (int place : order.get(round)) {
                Contender contender = question.contenders().get(place);
                List<Move> moves = state.movesTo(contender.arrangement());
                state = state.after(contender.arrangement());
                visits.add(new Visit(round + 1, place, moves, settleS(contender, moves)));
            }
        }
    }

    private static int settleS(Contender contender, List<Move> moves) {
        return moves.isEmpty() ? 0 : contender.arrangement().booster().isPresent() ? BOOSTER_SETTLE_S : SETTLE_S;
    }

    /**
     * The same visits with what hands do for those that are still to be made, from what is where now: one that is left out puts
     * nothing up.
     */
    static List<Visit> onFrom(RigState now, List<Contender> contenders, Remaining remaining) {
        RigState state = now;
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < remaining.visits().size(); i++) {
            Visit visit = remaining.visits().get(i);
            if (remaining.lacks(i)) {
                Contender contender = contenders.get(visit.contender());
                List<Move> moves = state.movesTo(contender.arrangement());
                state = state.after(contender.arrangement());
                visits.add(new Visit(visit.round(), visit.contender(), moves, settleS(contender, moves)));
            } else {
                visits.add(visit);
            }
        }
        return List.copyOf(visits);
    }

    /** What so many rounds with so many runs at each visit take. */
    Effort effort(int rounds, int runs) {
        List<Visit> made = visits.subList(0, rounds * question.contenders().size());
        double hands = made.stream()
                .mapToDouble(visit -> visit.handsMinutes(question.work()))
                .sum();
        double settling = made.stream().mapToDouble(Visit::settleS).sum() / 60;
        double measuring = made.size() * runs * question.kind().usualSeconds() / 60;
        return new Effort(rounds, runs, made, hands + settling + measuring, hands, rounds * runs * gbOfRound());
    }

    private double gbOfRound() {
        return question.rates().stream()
                .mapToDouble(rates -> rates.gbOfRun(question.kind()))
                .sum();
    }
}

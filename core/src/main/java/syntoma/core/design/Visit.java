package syntoma.core.design;

import java.util.List;
import java.util.Map;
import syntoma.core.state.Move;
import syntoma.core.state.Work;

/**
 * One contender measured once in a round.
 *
 * @param round from 1 on
 * @param contender its place among them
 * @param moves what hands do before it
 * @param settleS then this long is waited
 */
public record Visit(int round, int contender, List<Move> moves, int settleS) {
    public Visit {
        moves = List.copyOf(moves);
    }

    /**
     * What hands take for it, in minutes.
     *
     * @param work the minutes of each kind of work
     */
    public double handsMinutes(Map<Work, Double> work) {
        return moves.stream().mapToDouble(move -> work.get(move.work())).sum();
    }
}

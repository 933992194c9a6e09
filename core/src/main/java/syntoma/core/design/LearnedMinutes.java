package syntoma.core.design;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import syntoma.core.state.Move;
import syntoma.core.state.Work;
import syntoma.core.unit.Median;

/**
 * What work takes these hands, by the run sheet’s own clock: the median of the last five times, once there are three. Until then
 * what it usually takes.
 */
public final class LearnedMinutes {
    /** The latest of so many count. */
    public static final int LAST = 5;

    private static final int FEWEST = 3;

    /** Who took longer than that was doing something else. */
    public static final double LONGEST_MIN = 60;

    private LearnedMinutes() {}

    /**
     * The minutes of each kind of work.
     *
     * @param last the minutes that each took lately, at most {@link #LAST}
     */
    public static Map<Work, Double> minutes(Map<Work, List<Double>> last) {
        Map<Work, Double> minutes = Work.usual();
        last.forEach((work, taken) -> {
            if (taken.size() >= FEWEST) {
                minutes.put(work, Median.of(taken));
            }
        });
        return minutes;
    }

    /**
     * Shares what a change-over took out among its moves, as they usually share it.
     *
     * @param minutes from the end of what was measured before until it stood
     * @return the minutes of each kind of work, none where it took longer than anybody works at it
     */
    public static Map<Work, Double> share(List<Move> moves, double minutes) {
        Map<Work, Double> usual = Work.usual();
        double all = moves.stream().mapToDouble(m -> usual.get(m.work())).sum();
        Map<Work, Double> shared = new EnumMap<>(Work.class);
        if (minutes <= 0 || minutes > LONGEST_MIN || all == 0) {
            return shared;
        }
        Map<Work, List<Double>> each = new EnumMap<>(Work.class);
        moves.forEach(
                m -> each.computeIfAbsent(m.work(), w -> new ArrayList<>()).add(minutes * usual.get(m.work()) / all));
        each.forEach((work, parts) ->
                shared.put(work, parts.stream().mapToDouble(p -> p).average().orElseThrow()));
        return shared;
    }
}

package syntoma.core.jobsheet;

import java.util.List;
import java.util.stream.IntStream;
import syntoma.core.unit.Values;

/**
 * The hours in which hands work, and how many pairs of them there are. A task is done in one go within one of them; waits go on over
 * night.
 *
 * @param people who work
 * @param spans in minutes since the first morning, in order
 */
public record Hours(int people, List<Span> spans) {
    private static final int MOST = 200;
    private static final int MINUTES_A_DAY = 24 * 60;

    /** From a minute until another. */
    public record Span(int from, int until) {
        /**
         * @throws IllegalArgumentException when it ends before it begins
         */
        public Span {
            if (until <= from) {
                throw new IllegalArgumentException("hours end at minute " + until + ", before they begin at " + from);
            }
        }

        int minutes() {
            return until - from;
        }
    }

    /**
     * @throws IllegalArgumentException naming what is wrong with them
     */
    public Hours {
        Values.within("people", people, 1, 4, "");
        Values.within("spans of hours", spans.size(), 1, MOST, "");
        for (int i = 1; i < spans.size(); i++) {
            if (spans.get(i).from < spans.get(i - 1).until) {
                throw new IllegalArgumentException("hours overlap at minute " + spans.get(i).from);
            }
        }
        spans = List.copyOf(spans);
    }

    /** The same hours on so many days in a row. */
    public static Hours daily(int people, int fromMin, int untilMin, int days) {
        return new Hours(
                people,
                IntStream.range(0, days)
                        .mapToObj(day -> new Span(day * MINUTES_A_DAY + fromMin, day * MINUTES_A_DAY + untilMin))
                        .toList());
    }
}

package syntoma.core.design;

import java.util.List;

/**
 * What a trial takes.
 *
 * @param rounds 3 to 20
 * @param runs at each visit, 1 to 5
 * @param visits in their order
 * @param minutes with change-overs, settling and runs
 * @param handsMinutes of them the change-overs
 * @param gb that the runs take
 */
public record Effort(int rounds, int runs, List<Visit> visits, double minutes, double handsMinutes, double gb) {
    public Effort {
        visits = List.copyOf(visits);
    }

    /** Whether there is the time and the data for it. */
    public boolean fits(Question question) {
        return minutes <= question.minutes().orElse(Double.POSITIVE_INFINITY)
                && gb <= question.gb().orElse(Double.POSITIVE_INFINITY);
    }
}

package syntoma.core.run;

/**
 * How a run goes on, whoever makes it. The limits are of experience: ten questions a second load no link; two seconds of them give
 * twenty answers; five seconds without a byte are no fading any more.
 *
 * @param sampleMs the length of a sample
 * @param askEveryMs a short question is asked so often
 * @param idleLeastMs questions are asked for so long at least before there is a load
 * @param idleMostMs and at most
 * @param idleAnswers so many answers are wanted before there is a load
 * @param lostInRow after so many questions without an answer the server is gone
 * @param stalledMs after so long without a byte it has stalled
 * @param longestMs the longest a run takes, less what its ending takes
 */
public record Pace(
        int sampleMs,
        int askEveryMs,
        int idleLeastMs,
        int idleMostMs,
        int idleAnswers,
        int lostInRow,
        int stalledMs,
        int longestMs) {
    /** The pace of every run. */
    public static final Pace USUAL =
            new Pace(Rates.SAMPLE_MS, 100, 2_000, 6_000, Latencies.LEAST_IDLE, 3, 5_000, 28_500);
}

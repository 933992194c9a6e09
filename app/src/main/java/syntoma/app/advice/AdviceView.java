package syntoma.app.advice;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;
import syntoma.app.state.MoveView;
import syntoma.core.advice.Outlook;

/**
 * What to put up, best first.
 *
 * @param headline what to do, in a sentence; empty where nothing can be said
 * @param whatToTry where no carrier was heard, in order; empty otherwise
 * @param need the names of the needs that it is for; empty where none is chosen
 * @param options the first few, what is up now and moving on among them
 * @param more options that are not shown
 * @param test null where none would change much
 * @param asked what came of advice that was followed, where nothing was measured; null where nothing is to be asked
 */
record AdviceView(
        String headline,
        List<String> whatToTry,
        String need,
        OffsetDateTime at,
        List<OptionView> options,
        int more,
        @Nullable TestView test,
        RecordView record,
        @Nullable OutcomeAsked asked) {

    /**
     * An option.
     *
     * @param kind {@code setup}, {@code as-it-is} for what is up now, {@code move-on} for another campsite
     * @param setup null for moving on
     * @param chance that a run meets the need in its hours, 0 to 1; predicted; null before a need is said, and for moving on
     * @param times the same now and in the hours of each need; empty where all is needed now
     * @param whyHere why it is where it is in the list; null where its chance says it
     * @param minutes of work; for moving on the drive comes on top
     * @param moves what to do, in order
     * @param pricePerGb in units of money; null where it is not known
     * @param here the runs of this option at this campsite; null where there are fewer than five
     */
    record OptionView(
            String kind,
            @Nullable SetupName setup,
            @Nullable String carrier,
            @Nullable Double chance,
            List<ChanceAtView> times,
            @Nullable String whyHere,
            RateView down,
            RateView up,
            RateView loaded,
            double minutes,
            List<MoveView> moves,
            @Nullable Double pricePerGb,
            String reason,
            @Nullable MetView here) {}

    /** The chance at a time of the day. @param what is met when, in words, such as “HD film this evening” */
    record ChanceAtView(String what, double chance) {}

    /** A figure of one run: half of them bring at least {@code middle}, eight in ten lie between low and high. */
    record RateView(double low, double middle, double high) {
        static RateView of(Outlook.Rate rate) {
            return new RateView(rate.low(), rate.middle(), rate.high());
        }
    }

    /**
     * How many runs met the need, with the 95 % interval of that share (Wilson).
     *
     * @param when in the hours of the need where those are others than now; empty otherwise
     */
    record MetView(int runs, int met, String when, double low, double high) {}

    /** A test that would likely settle the choice, in a sentence, and whom it is between. */
    record TestView(String sentence, List<Contestant> between) {}

    /** A setup on a carrier. */
    record Contestant(String setup, String carrier) {}

    /**
     * How often advice was right.
     *
     * @param followed how many pieces of advice have an outcome
     * @param said the mean chance that was stated of them; null with none
     * @param came the share that came true; null with none
     * @param offBy the typical factor between what was expected and what came; null where nothing was measured
     * @param sentence the same in words
     */
    record RecordView(
            int followed, @Nullable Double said, @Nullable Double came, @Nullable Double offBy, String sentence) {}

    /** Advice whose outcome nobody has measured: did it do? */
    record OutcomeAsked(long id, String setup, String carrier, String need, OffsetDateTime at) {}
}

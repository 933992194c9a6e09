package syntoma.app.trial;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;
import syntoma.app.state.MoveView;
import syntoma.core.trial.NextStep;

/**
 * A trial as it would be made.
 *
 * @param sentence what it comes to, in words
 * @param runs at each visit
 * @param minutes with change-overs, settling and runs
 * @param handsMinutes of them the change-overs
 * @param chance that a difference of the size that was asked for is seen, 0 to 1
 * @param seen the smallest ratio that is seen with an 80 % chance
 * @param fits whether there is the time and the data for it
 * @param enough whether the difference that was asked for is seen with an 80 % chance
 * @param advice what to drop or to shorten
 * @param warnings what speaks against a contender, which is not forbidden all the same
 * @param cannot what it cannot answer
 * @param restsOn what the scatter and the rates are taken from, in words
 * @param left what it takes of each carrier's plan, and what is left then
 * @param sessions when its rounds are made, where it is spread over times of day
 */
record DesignView(
        String sentence,
        List<ContenderView> contenders,
        int rounds,
        int runs,
        String kind,
        double minutes,
        double handsMinutes,
        double gb,
        double chance,
        double seen,
        boolean fits,
        boolean enough,
        List<String> advice,
        List<String> warnings,
        List<String> cannot,
        List<String> restsOn,
        int seed,
        List<VisitView> visits,
        List<PlanLeft> left,
        List<TimeOfDay> sessions) {

    /**
     * What a trial takes of a plan.
     *
     * @param leftGb of the month's allowance, less what was used of it; null where the allowance is not known
     */
    record PlanLeft(String carrier, double gb, @Nullable Double leftGb) {}

    /** The rounds of one time of day, in the time of the place. */
    record TimeOfDay(LocalDateTime at, int fromRound, int toRound) {}

    /**
     * A contender with what it is expected to bring.
     *
     * @param known whether it was measured, or is only what is usual
     */
    record ContenderView(SetupName setup, @Nullable String carrier, double downMbps, double upMbps, boolean known) {}

    /**
     * One contender measured once.
     *
     * @param contender its place among them
     * @param minutes what hands take for it
     */
    record VisitView(int round, int contender, List<MoveView> moves, double minutes, int settleS) {
        NextStep step(List<ContenderView> contenders) {
            return new NextStep(
                    round, Optional.of(contenders.get(contender).setup().name()));
        }
    }
}

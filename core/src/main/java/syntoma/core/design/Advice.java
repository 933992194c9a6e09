package syntoma.core.design;

import java.util.List;
import java.util.Map;
import syntoma.core.chain.RadioMode;
import syntoma.core.state.Arrangement;
import syntoma.core.state.Leaving;
import syntoma.core.state.Move;
import syntoma.core.state.RigState;
import syntoma.core.state.Work;
import syntoma.core.verdict.SetupChoice;
import syntoma.core.verdict.Verdict;

/** What to do with a verdict, by what each of the two takes of one's hands at a campsite. */
public final class Advice {
    private Advice() {}

    /**
     * What to do, in a sentence.
     *
     * @param baseline what the candidate is compared with
     * @param verdict of the figure that matters most
     * @param use which of the two is to be used by the comparison as a whole
     * @param work the minutes of each kind of work
     * @param byCarriers whether they are told apart by their carriers
     */
    public static String of(
            Contender baseline,
            Contender candidate,
            Verdict verdict,
            SetupChoice.Side use,
            Map<Work, Double> work,
            boolean byCarriers) {
        String one = baseline.name(byCarriers);
        String other = candidate.name(byCarriers);
        if (isDifferentInBandsOnly(baseline, candidate)) {
            return ofBands(baseline, candidate, use);
        }
        boolean known = baseline.isKnown() && candidate.isKnown();
        double more = minutes(candidate, work) - minutes(baseline, work);
        if (use != SetupChoice.Side.EITHER) {
            String used = use == SetupChoice.Side.CANDIDATE ? other : one;
            double costs = use == SetupChoice.Side.CANDIDATE ? more : -more;
            return known && costs > 0
                    ? "Use " + used + " here: it is worth the extra " + minutesText(costs) + " at each stay."
                    : "Use " + used + " here.";
        }
        return switch (verdict) {
            case CANNOT_TELL, TOO_FEW ->
                known ? meanwhile(one, other, more) : "Until that is known, use whichever is already up.";
            default ->
                known
                        ? lessText(one, other, more, "gains nothing that matters here")
                        : "Use whichever is already up: neither gains anything that matters here.";
        };
    }

    private static String lessText(String one, String other, double more, String why) {
        if (more == 0) {
            return "Use whichever is already up: both are the same work, and neither gains anything that matters here.";
        }
        String dear = more > 0 ? other : one;
        String easy = more > 0 ? one : other;
        return "Use " + easy + " and leave " + dear + ": it costs " + minutesText(Math.abs(more)) + " more a stay and "
                + why + ".";
    }

    private static String meanwhile(String one, String other, double more) {
        if (more == 0) {
            return "Until that is known, use whichever is already up: both are the same work.";
        }
        return "Until that is known, use " + (more > 0 ? one : other) + ": it is " + minutesText(Math.abs(more))
                + " less work a stay.";
    }

    private static String minutesText(double minutes) {
        return Math.max(1, Math.round(minutes)) + " min";
    }

    /** What hands take for it at a stay, by somebody who uses nothing else: to take it down for the drive, and to put it up again. */
    private static double minutes(Contender contender, Map<Work, Double> work) {
        Arrangement arrangement = contender.arrangement();
        RigState up = RigState.with(arrangement);
        List<Move> down = Leaving.from(up).moves();
        return sum(down, work) + sum(up.afterAll(down).movesTo(arrangement), work);
    }

    private static double sum(List<Move> moves, Map<Work, Double> work) {
        return moves.stream().mapToDouble(m -> work.get(m.work())).sum();
    }

    private static boolean isDifferentInBandsOnly(Contender one, Contender other) {
        return !one.bands().equals(other.bands())
                && one.device().equals(other.device())
                && one.antennas().equals(other.antennas())
                && one.carrier().equals(other.carrier())
                && one.arrangement().arranged().equals(other.arrangement().arranged())
                && one.booster().equals(other.booster());
    }

    private static String ofBands(Contender baseline, Contender candidate, SetupChoice.Side use) {
        boolean free = baseline.bands().equals(RadioMode.AUTOMATIC.label());
        if (use == SetupChoice.Side.CANDIDATE) {
            return candidate.bands().equals(RadioMode.AUTOMATIC.label())
                    ? "Leave it on automatic here."
                    : "Hold " + device(candidate) + " to " + candidate.bands()
                            + " here, and unlock the bands when you leave.";
        }
        return free ? "Leave it on automatic here." : "Leave it at " + baseline.bands() + " here.";
    }

    private static String device(Contender contender) {
        return contender.device().isEmpty() ? "the device" : contender.device();
    }
}

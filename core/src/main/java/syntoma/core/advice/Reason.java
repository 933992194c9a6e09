package syntoma.core.advice;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Why an option may be expected to bring what it is said to: what was measured nearest to here and now. */
public sealed interface Reason {
    /** In a sentence that begins with “because”, or says that there is nothing to go by. */
    String says();

    /** The share of its runs that met the need; not a number where it is of none. */
    default double metShare() {
        return Double.NaN;
    }

    /** Runs at this stay. */
    record RunsAtStay(int runs, int metRuns) implements Reason {
        @Override
        public String says() {
            return "because " + share(metRuns, runs, " here at this stay");
        }

        @Override
        public double metShare() {
            return metRuns / (double) runs;
        }
    }

    /** Runs at earlier stays at this campsite. */
    record Earlier(int stays, int runs, int metRuns) implements Reason {
        @Override
        public String says() {
            return "because at " + Text.count(stays, "earlier stay") + " here " + share(metRuns, runs, "");
        }

        @Override
        public double metShare() {
            return metRuns / (double) runs;
        }
    }

    /**
     * What an option hears here.
     *
     * @param isRead whether a level of its carrier was read at this stay; else it is expected
     */
    record Level(double dbm, boolean isRead) {
        private String text() {
            return "about " + Values.round(dbm, 0) + " dBm";
        }
    }

    /** Runs at other campsites where about as much was heard. */
    record SimilarCampsites(int stays, int runs, int metRuns, Level level) implements Reason {
        @Override
        public String says() {
            return level.isRead
                    ? "because at " + Text.count(stays, "stay") + " with " + level.text() + ", as here, "
                            + share(metRuns, runs, "")
                    : "not measured on this carrier here yet; at " + Text.count(stays, "stay") + " with " + level.text()
                            + ", as expected here, " + share(metRuns, runs, "");
        }

        @Override
        public double metShare() {
            return metRuns / (double) runs;
        }
    }

    /** Runs elsewhere, at other levels. */
    record Elsewhere(int stays, int runs, int metRuns, Level level) implements Reason {
        @Override
        public String says() {
            return "because of what it did at " + Text.count(stays, "other stay") + " (" + share(metRuns, runs, "")
                    + "), with " + level.text() + " expected here";
        }

        @Override
        public double metShare() {
            return metRuns / (double) runs;
        }
    }

    /** Its data sheets alone. */
    record SheetReason(OptionalDouble promisedDb, Level level) implements Reason {
        @Override
        public String says() {
            return promisedDb.isPresent()
                    ? "never measured yet; its data sheets promise " + level.text() + " here"
                    : "never measured yet, and its data sheets do not say what it gains";
        }
    }

    /** A reason that rests on runs of the hours in which the need is. */
    record AtHours(Reason reason, String hours) implements Reason {
        @Override
        public String says() {
            return reason.says() + " " + hours;
        }

        @Override
        public double metShare() {
            return reason.metShare();
        }
    }

    /** A reason that its chance is well above or below, with what speaks against it. */
    record WeighedReason(Reason reason, double chance, int otherRuns, int otherMetRuns) implements Reason {
        /** Farther apart than this a chance and its reason read as a contradiction; chosen. */
        private static final double APART = 0.2;

        @Override
        public String says() {
            boolean lower = chance < reason.metShare();
            if (otherRuns > 0) {
                String others = otherRuns == 1
                        ? "the one run with another setup at this stay "
                                + (otherMetRuns == 1 ? "met it" : "did not meet it")
                        : otherMetRuns + " of " + otherRuns + " runs with other setups at this stay did";
                return reason.says() + ", but " + others;
            }
            return reason.says() + ", but " + (lower ? "less" : "more")
                    + " is expected here, from the signal, the hour and what this place brought before";
        }

        /** The reason itself where it and the chance agree. */
        static Reason of(Reason reason, double chance, List<PastMeasurement> beside, Outlook.RunRequirement asked) {
            return Double.isNaN(reason.metShare()) || Math.abs(chance - reason.metShare()) <= APART
                    ? reason
                    : new WeighedReason(reason, chance, beside.size(), countMet(beside, asked));
        }
    }

    /** Runs that lack a figure that the need asks for. */
    record NoReason(int runs) implements Reason {
        @Override
        public String says() {
            return runs == 1
                    ? "its one run lacks a figure that the need asks for"
                    : "its " + runs + " runs lack a figure that the need asks for";
        }
    }

    private static String share(int met, int runs, String where) {
        if (runs == 1) {
            return "the one run" + where + (met == 1 ? " met it" : " did not meet it");
        }
        String part = met == runs ? "all " + runs : met == 0 ? "none of " + runs : met + " of " + runs;
        return part + " runs" + where + " met it";
    }

    /** The nearest there is for an option. */
    static Reason of(
            Option option, StayContext here, List<PastMeasurement> all, Level level, Outlook.RunRequirement asked) {
        List<PastMeasurement> own = all.stream().filter(asked::isToldBy).toList();
        if (own.isEmpty() && !all.isEmpty()) {
            return new NoReason(all.size());
        }
        List<PastMeasurement> now =
                own.stream().filter(p -> p.stay() == here.stay()).toList();
        if (!now.isEmpty()) {
            return new RunsAtStay(now.size(), countMet(now, asked));
        }
        List<PastMeasurement> earlier =
                own.stream().filter(p -> p.campsite() == here.campsite()).toList();
        if (!earlier.isEmpty()) {
            return new Earlier(stays(earlier), earlier.size(), countMet(earlier, asked));
        }
        List<PastMeasurement> alike = own.stream()
                .filter(p -> p.rsrpDbm().isPresent() && Math.abs(p.rsrpDbm().getAsDouble() - level.dbm) <= Likeness.DB)
                .toList();
        if (stays(alike) >= Likeness.FEWEST_STAYS) {
            return new SimilarCampsites(stays(alike), alike.size(), countMet(alike, asked), level);
        }
        return own.isEmpty()
                ? new SheetReason(option.promisedDb(), level)
                : new Elsewhere(stays(own), own.size(), countMet(own, asked), level);
    }

    private static int stays(List<PastMeasurement> runs) {
        return (int) runs.stream().mapToLong(PastMeasurement::stay).distinct().count();
    }

    private static int countMet(List<PastMeasurement> runs, Outlook.RunRequirement asked) {
        return (int) runs.stream().filter(asked::isMetBy).count();
    }

    /** When a reading counts as one like here. */
    final class Likeness {
        /** As much as slow fading and another place on the campsite make together; chosen. */
        static final double DB = 5;

        static final int FEWEST_STAYS = 2;

        private Likeness() {}
    }
}

package syntoma.core.advice;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Why an option may be expected to bring what it is said to: what was measured nearest to here and now. */
public sealed interface Reason {
    /** In a sentence that begins with “because”, or says that there is nothing to go by. */
    String says();

    /** Runs at this stay. */
    record Now(int runs, int met) implements Reason {
        @Override
        public String says() {
            return "because " + share(met, runs, " here at this stay");
        }
    }

    /** Runs at earlier stays at this campsite. */
    record Earlier(int stays, int runs, int met) implements Reason {
        @Override
        public String says() {
            return "because at " + Text.counted(stays, "earlier stay") + " here " + share(met, runs, "");
        }
    }

    /** Runs at other campsites where about as much was heard. */
    record Alike(int stays, int runs, int met, double dbm) implements Reason {
        @Override
        public String says() {
            return "because at " + Text.counted(stays, "stay") + " with about " + Values.rounded(dbm, 0)
                    + " dBm, as here, " + share(met, runs, "");
        }
    }

    /** Runs elsewhere, at other levels. */
    record Elsewhere(int stays, int runs, int met, double dbm) implements Reason {
        @Override
        public String says() {
            return "because of what it did at " + Text.counted(stays, "other stay") + " (" + share(met, runs, "")
                    + "), reckoned to about " + Values.rounded(dbm, 0) + " dBm here";
        }
    }

    /** Its data sheets alone. */
    record Promised(OptionalDouble promisedDb, double dbm) implements Reason {
        @Override
        public String says() {
            return promisedDb.isPresent()
                    ? "because its sheets let about " + Values.rounded(dbm, 0)
                            + " dBm be expected here; it was never measured"
                    : "it was never measured, and its sheets do not say what it gains";
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
    static Reason of(Option option, Here here, List<Past> own, double dbm, Outlook.Asked asked) {
        List<Past> now = own.stream().filter(p -> p.stay() == here.stay()).toList();
        if (!now.isEmpty()) {
            return new Now(now.size(), met(now, asked));
        }
        List<Past> earlier =
                own.stream().filter(p -> p.campsite() == here.campsite()).toList();
        if (!earlier.isEmpty()) {
            return new Earlier(stays(earlier), earlier.size(), met(earlier, asked));
        }
        List<Past> alike = own.stream()
                .filter(p -> p.rsrpDbm().isPresent() && Math.abs(p.rsrpDbm().getAsDouble() - dbm) <= Likeness.DB)
                .toList();
        if (stays(alike) >= Likeness.FEWEST_STAYS) {
            return new Alike(stays(alike), alike.size(), met(alike, asked), dbm);
        }
        return own.isEmpty()
                ? new Promised(option.promisedDb(), dbm)
                : new Elsewhere(stays(own), own.size(), met(own, asked), dbm);
    }

    private static int stays(List<Past> runs) {
        return (int) runs.stream().mapToLong(Past::stay).distinct().count();
    }

    private static int met(List<Past> runs, Outlook.Asked asked) {
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

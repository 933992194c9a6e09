package syntoma.core.diagnosis;

import java.util.List;
import java.util.Locale;

/**
 * A cause that the evidence points to.
 *
 * @param says what it is, in a sentence
 * @param evidence the figures, when and with what
 * @param next what to do
 */
public record Claim(Cause cause, Sure sure, String says, List<String> evidence, String next) {

    /** What can limit a connection, in the order in which to look (docs/methods.md#11-diagnosis). */
    public enum Cause {
        NO_SERVICE,
        WEAK_OUTSIDE,
        LOST_IN_SHELL,
        INTERFERENCE,
        SLOW_ON_TWO,
        BUSY_CELL,
        CAPPED,
        NO_DATA,
        UPLOAD_ABOVE_DOWNLOAD,
        UPLINK_LIMITED,
        WRONG_BAND,
        STREAMS_LOST,
        CHAIN_FAULT,
        BOOSTER_TROUBLE,
        LATENCY_UNDER_LOAD,
        LATE_WHEN_IDLE,
        ALLOWANCE_USED_UP,
        OWN_WIFI;

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** How sure it is. */
    public enum Sure {
        SURELY,
        LIKELY,
        PERHAPS;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}

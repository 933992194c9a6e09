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
        NO_SERVICE("no service"),
        WEAK_OUTSIDE("a weak place"),
        LOST_IN_SHELL("walls"),
        INTERFERENCE("interference"),
        SLOW_ON_TWO("a slow line behind two carriers"),
        BUSY_CELL("a busy cell"),
        CAPPED("a cap"),
        NO_DATA("a signal without data"),
        UPLOAD_ABOVE_DOWNLOAD("an upload above the download"),
        UPLINK_LIMITED("a weak upload"),
        WRONG_BAND("another band"),
        STREAMS_LOST("lost streams"),
        CHAIN_FAULT("a fault in the chain"),
        BOOSTER_TROUBLE("the booster"),
        LATENCY_UNDER_LOAD("latency under load"),
        LATE_WHEN_IDLE("latency when idle"),
        ALLOWANCE_USED_UP("data used up"),
        OWN_WIFI("your own Wi-Fi");

        private final String words;

        Cause(String words) {
            this.words = words;
        }

        /** What to call it in a list of causes. */
        String words() {
            return words;
        }

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

package syntoma.core.trial;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;

/** How a measurement ended. A run that failed is a result and is kept. */
public enum Outcome {
    OK,
    NO_SERVICE,
    FAILED,
    TIMED_OUT;

    private static final Map<String, Outcome> BY_LABEL =
            Arrays.stream(values()).collect(Collectors.toUnmodifiableMap(Outcome::label, o -> o));

    /** The name in the API and the CSV form: ok, no_service, failed, timed_out. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The outcome of a label; “no service” and “timed out” are read too.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Outcome fromLabel(String text) {
        Outcome exact = BY_LABEL.get(text);
        if (exact != null) {
            return exact;
        }
        Outcome outcome = BY_LABEL.get(
                text.strip().toLowerCase(Locale.ROOT).replace(' ', '_').replace('-', '_'));
        if (outcome == null) {
            throw new IllegalArgumentException(
                    "outcome is " + Text.quote(text) + "; allowed is ok, no_service, failed, timed_out");
        }
        return outcome;
    }
}

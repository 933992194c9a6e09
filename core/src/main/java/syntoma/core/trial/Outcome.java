package syntoma.core.trial;

import java.util.Arrays;
import java.util.Locale;
import syntoma.core.unit.Text;

/** How a measurement ended. A run that failed is a result and is kept. */
public enum Outcome {
    OK,
    NO_SERVICE,
    FAILED,
    TIMED_OUT;

    /** The name in the API and the CSV form: ok, no_service, failed, timed_out. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The outcome of a label; “no service” and “timed out” are read too.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Outcome labelled(String text) {
        String wanted = text.strip().replaceAll("[ -]", "_");
        return Arrays.stream(values())
                .filter(o -> o.label().equalsIgnoreCase(wanted))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "outcome is " + Text.quoted(text) + "; allowed is ok, no_service, failed, timed_out"));
    }
}

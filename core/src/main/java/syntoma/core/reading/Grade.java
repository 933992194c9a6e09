package syntoma.core.reading;

import java.util.Locale;

/** A word for a radio metric. It only summarises; the number is always shown with it. */
public enum Grade {
    STRONG,
    GOOD,
    FAIR,
    WEAK,
    NONE;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}

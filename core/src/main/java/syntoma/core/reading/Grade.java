package syntoma.core.reading;

import java.util.Locale;

/** A word for a radio metric. It only summarises; the number is always shown with it. */
public enum Grade {
    AMPLE,
    SOUND,
    THIN,
    SCRAPING,
    SILENT;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}

package syntoma.app.platform;

import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Moments as a person says them, in the time of the place. */
public final class Moment {
    private static final DateTimeFormatter SAID = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);

    private Moment() {}

    /** Such as 14 Aug 2026 18:05. */
    public static String text(OffsetDateTime at) {
        return SAID.format(at);
    }
}

package syntoma.app.findings;

import java.util.Locale;
import syntoma.core.unit.Labels;

/** What is compared with each other. */
enum ComparedKind {
    /** Setups, on one SIM at a time. */
    SETUPS,
    /** Carriers, with one setup at a time. */
    CARRIERS,
    /** Bands, with one setup on one SIM at a time. */
    BANDS;

    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** One of them. */
    String noun() {
        String plural = key();
        return plural.substring(0, plural.length() - 1);
    }

    /**
     * Of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and what is allowed
     */
    static ComparedKind of(String key) {
        return Labels.find("of", key, values(), ComparedKind::key);
    }
}

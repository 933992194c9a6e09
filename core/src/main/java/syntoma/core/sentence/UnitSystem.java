package syntoma.core.sentence;

import java.util.Locale;
import syntoma.core.unit.Labels;

/** The units that a person reads. What is calculated and stored is metric always. */
public enum UnitSystem {
    METRIC,
    IMPERIAL;

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The system of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and those there are
     */
    public static UnitSystem fromLabel(String text) {
        return Labels.find("units", text, values(), UnitSystem::label);
    }
}

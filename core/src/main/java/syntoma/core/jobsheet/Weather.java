package syntoma.core.jobsheet;

import java.util.Locale;
import syntoma.core.unit.Labels;

/** The weather that a task wants. */
public enum Weather {
    ANY(""),
    DRY("dry weather and daylight"),
    CALM("dry weather, daylight and little wind"),
    WARM("dry weather, and above 5 °C until it has cured");

    private final String says;

    Weather(String says) {
        this.says = says;
    }

    /** Empty where any will do. */
    public String says() {
        return says;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The weather of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and those there are
     */
    public static Weather labelled(String text) {
        return Labels.find("weather", text, values(), Weather::label);
    }
}

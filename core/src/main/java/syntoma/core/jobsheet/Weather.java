package syntoma.core.jobsheet;

import java.util.Locale;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Labels;

/** The weather that a task wants. */
public enum Weather {
    ANY(Sentence.EMPTY),
    DRY(Sentence.of("dry weather and daylight")),
    CALM(Sentence.of("dry weather, daylight and little wind")),
    WARM(Sentence.of("dry weather, and above ", Quantity.celsius(5), " until it has cured"));

    private final Sentence says;

    Weather(Sentence says) {
        this.says = says;
    }

    /** Empty where any will do. */
    public Sentence says() {
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
    public static Weather fromLabel(String text) {
        return Labels.find("weather", text, values(), Weather::label);
    }
}

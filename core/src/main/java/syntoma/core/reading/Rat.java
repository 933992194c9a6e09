package syntoma.core.reading;

import java.util.Arrays;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;

/** What carried a measurement: a cellular technology, campground Wi-Fi or satellite. */
public enum Rat {
    LTE("LTE"),
    NR_NSA("NR-NSA"),
    NR_SA("NR-SA"),
    UMTS("UMTS"),
    GSM("GSM"),
    WIFI("WIFI"),
    SAT("SAT");

    private final String label;

    Rat(String label) {
        this.label = label;
    }

    /** The name used in the interface, the API and the CSV form. */
    public String label() {
        return label;
    }

    /** Whether readings follow the NR ranges of TS 38.133. */
    public boolean isNr() {
        return this == NR_NSA || this == NR_SA;
    }

    /** Whether there is a cell, and so a radio reading, at all. */
    public boolean isCellular() {
        return this != WIFI && this != SAT;
    }

    /**
     * The technology of a label, in either case.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Rat fromLabel(String text) {
        return Arrays.stream(values())
                .filter(rat -> rat.label.equalsIgnoreCase(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("rat is " + Text.quote(text) + "; allowed is "
                        + Arrays.stream(values()).map(Rat::label).collect(Collectors.joining(", "))));
    }
}

package syntoma.core.chain;

import java.util.Optional;
import syntoma.core.band.Band;
import syntoma.core.unit.Labels;

/** How the radio of a device is set. */
public enum RadioMode {
    AUTOMATIC("automatic"),
    LTE_ONLY("LTE only"),
    NR_ONLY("NR only"),
    LOCKED("locked");

    private final String label;

    RadioMode(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** The technology that it is held to; empty where it may choose. */
    public Optional<Band.Technology> onlyTechnology() {
        return switch (this) {
            case LTE_ONLY -> Optional.of(Band.Technology.LTE);
            case NR_ONLY -> Optional.of(Band.Technology.NR);
            default -> Optional.empty();
        };
    }

    /**
     * The one of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static RadioMode fromLabel(String text) {
        return Labels.find("mode", text, values(), RadioMode::label);
    }
}

package syntoma.core.chain;

import java.util.List;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;

/**
 * How a setup is set.
 *
 * @param lockedBands bands that the device is held to; none when it chooses
 */
public record Settings(RadioMode mode, List<String> lockedBands, Source source) {
    /** The device chooses. */
    public static final Settings USUAL = new Settings(RadioMode.AUTOMATIC, List.of(), Source.CELLULAR);

    public Settings {
        lockedBands = List.copyOf(lockedBands);
    }

    /** The bands that the device is held to. */
    public List<Band> locked() {
        return lockedBands.stream().map(Bands::of).toList();
    }
}

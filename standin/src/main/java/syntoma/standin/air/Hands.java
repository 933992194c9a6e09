package syntoma.standin.air;

import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is in use, and where.
 *
 * @param headingDeg where a directional antenna points, from true north; empty for as well as it was aimed by hand
 * @param lockedBands the only ones that the device may use; none for all
 * @param isLteOnly whether its mode keeps it from NR
 */
public record Hands(
        String campsite,
        String setup,
        String carrier,
        OptionalDouble headingDeg,
        Set<String> lockedBands,
        boolean isLteOnly) {

    public Hands {
        lockedBands = Set.copyOf(lockedBands);
    }

    /** As things are without anybody's doing: aimed by hand, nothing locked. */
    public static Hands of(String campsite, String setup, String carrier) {
        return new Hands(campsite, setup, carrier, OptionalDouble.empty(), Set.of(), false);
    }

    /** What tells the state of a device from that of another. */
    public String key() {
        return campsite + "/" + setup + "/" + carrier;
    }

    public Hands at(String place) {
        return new Hands(place, setup, carrier, OptionalDouble.empty(), lockedBands, isLteOnly);
    }

    public Hands with(String another) {
        return new Hands(campsite, another, carrier, OptionalDouble.empty(), lockedBands, isLteOnly);
    }

    public Hands on(String network) {
        return new Hands(campsite, setup, network, headingDeg, lockedBands, isLteOnly);
    }

    public Hands aimed(double deg) {
        return new Hands(campsite, setup, carrier, OptionalDouble.of(deg), lockedBands, isLteOnly);
    }

    public Hands locked(Set<String> bands) {
        return new Hands(campsite, setup, carrier, headingDeg, bands, isLteOnly);
    }

    public Hands mode(boolean onlyLte) {
        return new Hands(campsite, setup, carrier, headingDeg, lockedBands, onlyLte);
    }
}

package syntoma.standin.air;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import syntoma.core.unit.Table;

/**
 * A channel that carriers use.
 *
 * @param number downlink channel number
 * @param mhz downlink frequency
 * @param powerDbm radiated power of one resource element toward a campsite
 */
public record Channel(String band, int number, double mhz, double widthMhz, double powerDbm) {
    private static final Map<String, Channel> BY_BAND = new LinkedHashMap<>();

    static {
        for (String[] f : Table.rows(Channel.class, "/syntoma/standin/channels.csv")) {
            BY_BAND.put(
                    f[0],
                    new Channel(
                            f[0],
                            Integer.parseInt(f[1]),
                            Double.parseDouble(f[2]),
                            Double.parseDouble(f[3]),
                            Double.parseDouble(f[4])));
        }
    }

    /** The one that the carriers use in a band. */
    static Channel in(String band) {
        Channel found = BY_BAND.get(band);
        if (found == null) {
            throw new IllegalArgumentException("no carrier of the made-up world uses band " + band);
        }
        return found;
    }

    /** All of them. */
    static Collection<Channel> all() {
        return BY_BAND.values();
    }

    boolean isNr() {
        return band.startsWith("n");
    }

    /** Which share of the time the downlink has; the NR channels are TDD, the LTE ones are not. */
    public double downShare() {
        return isNr() ? 0.75 : 1;
    }

    /** The same of the uplink. */
    public double upShare() {
        return isNr() ? 0.25 : 1;
    }
}

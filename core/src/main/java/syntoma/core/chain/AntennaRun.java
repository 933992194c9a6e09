package syntoma.core.chain;

import java.util.List;
import syntoma.core.unit.Values;

/**
 * An antenna with what lies between its leads and the device.
 *
 * @param key what the antenna is known by, whatever its name becomes; no two runs of a chain have the same
 * @param extension the cables that each of its leads is lengthened by, from the antenna inward
 * @param mastM height of the antenna's foot above the roof in m, 0 to 15
 */
public record AntennaRun(String key, Antenna antenna, List<Cable> extension, Placement placement, double mastM) {
    public AntennaRun {
        Values.within("mast height", mastM, 0, 15, "m above the roof");
    }

    /** What the lead ends in after the extension. */
    public Connector end(Lead lead) {
        Connector end = lead.connector();
        for (Cable cable : extension) {
            end = cable.first().mates(end) || !cable.second().mates(end) ? cable.second() : cable.first();
        }
        return end;
    }
}

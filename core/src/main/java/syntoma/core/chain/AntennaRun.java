package syntoma.core.chain;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import syntoma.core.unit.Values;

/**
 * An antenna with what lies between its leads and the device.
 *
 * @param key what the antenna is known by, whatever its name becomes; no two runs of a chain have the same
 * @param extension the cables that each of its cellular leads is lengthened by, from the antenna inward
 * @param ownExtension those of a lead that has its own, by the label of the lead
 * @param mastM height of the antenna's foot above the roof in m, 0 to 15
 * @param plateCm2 area of a steel plate that is put beneath it; empty for none
 */
public record AntennaRun(
        String key,
        Antenna antenna,
        List<Cable> extension,
        Map<String, List<Cable>> ownExtension,
        Placement placement,
        double mastM,
        OptionalDouble plateCm2) {
    public AntennaRun {
        Values.within("mast height", mastM, 0, 15, "m above the roof");
        plateCm2.ifPresent(area -> Values.within("steel plate", area, 1, 20_000, "cm²"));
    }

    /** The cables that a lead is lengthened by: its own, or those of all cellular leads. */
    public List<Cable> extension(Lead lead) {
        List<Cable> own = ownExtension.get(lead.label());
        return own != null ? own : lead.use() == Use.CELLULAR ? extension : List.of();
    }

    /** What the lead ends in after its extension. */
    public Connector end(Lead lead) {
        Connector end = lead.connector();
        for (Cable cable : extension(lead)) {
            end = cable.farEnd(end);
        }
        return end;
    }

    /** Length of a lead with its extension in m; empty where the sheet does not state the lead's. */
    public OptionalDouble lengthM(Lead lead) {
        return lead.lengthM().isEmpty()
                ? lead.lengthM()
                : OptionalDouble.of(lead.lengthM().getAsDouble()
                        + extension(lead).stream().mapToDouble(Cable::lengthM).sum());
    }
}

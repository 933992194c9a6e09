package syntoma.core.chain;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Span;

/**
 * An antenna as its data sheet has it.
 *
 * @param beamDeg half-power width in degrees of a directional one; empty for one that hears all around
 * @param ranges none when the sheet does not say
 * @param groundPlaneCm2 area of metal it needs beneath; 0 when it needs none, empty when the sheet does not say
 * @param heightM its own height
 * @param magnetic whether a magnet holds it
 */
public record Antenna(
        String name,
        boolean directional,
        OptionalDouble beamDeg,
        List<GainRange> ranges,
        List<Lead> leads,
        OptionalDouble groundPlaneCm2,
        OptionalDouble heightM,
        boolean magnetic) {

    /** Gain in dBi at a frequency in MHz; empty outside the stated ranges, and where no gain is stated. */
    public OptionalDouble gainDbi(double mhz) {
        return ranges.stream()
                .filter(r -> r.holds(mhz))
                .findFirst()
                .map(r -> r.gainDbi(mhz))
                .orElse(OptionalDouble.empty());
    }

    /** The share of a band that lies inside the stated ranges. */
    public LinkShare share(Band band) {
        List<Span> spans = ranges.stream().map(GainRange::span).toList();
        return spans.isEmpty() ? LinkShare.unknown(name) : LinkShare.of(name, band, spans, spans);
    }

    /** The leads for a use. */
    public List<Lead> leads(Use use) {
        return leads.stream().filter(l -> l.use() == use).toList();
    }
}

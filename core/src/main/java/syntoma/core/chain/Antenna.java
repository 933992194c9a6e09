package syntoma.core.chain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Span;

/**
 * An antenna as its data sheet has it.
 *
 * @param beamDeg half-power width in degrees of a directional one; empty for one that hears all around
 * @param ranges none when the sheet does not say
 * @param leads none when the sheet does not say
 * @param groundPlaneCm2 area of metal it needs beneath; 0 when it needs none, empty when the sheet does not say
 * @param heightM its own height
 * @param isMagnetic whether a magnet holds it
 * @param rating against dust and water; empty when the sheet does not say
 */
public record Antenna(
        String name,
        boolean isDirectional,
        OptionalDouble beamDeg,
        List<GainRange> ranges,
        List<Lead> leads,
        OptionalDouble groundPlaneCm2,
        OptionalDouble heightM,
        boolean isMagnetic,
        Optional<IpRating> rating) {

    private List<GainRange> rangesOf(Lead lead) {
        return lead.ranges().isEmpty() ? ranges : lead.ranges();
    }

    /** Gain of a lead's element in dBi at a frequency in MHz; empty outside the stated ranges, and where no gain is stated. */
    public OptionalDouble gainDbi(Lead lead, double mhz) {
        return rangesOf(lead).stream()
                .filter(r -> r.span().contains(mhz))
                .findFirst()
                .map(r -> r.gainDbi(mhz))
                .orElse(OptionalDouble.empty());
    }

    /** The share of a band that lies inside the stated ranges of a lead's element. */
    public LinkShare share(Lead lead, Band band) {
        String link = lead.ranges().isEmpty() ? name : name + " " + lead.label();
        List<Span> spans = rangesOf(lead).stream().map(GainRange::span).toList();
        return spans.isEmpty() ? LinkShare.unknown(link) : LinkShare.of(link, band, spans, spans);
    }

    /** The shares of a band of each of its elements for cellular; that of the whole antenna where no leads are stated. */
    public List<LinkShare> shares(Band band) {
        List<Span> spans = ranges.stream().map(GainRange::span).toList();
        return leads.isEmpty()
                ? List.of(spans.isEmpty() ? LinkShare.unknown(name) : LinkShare.of(name, band, spans, spans))
                : leads(Use.CELLULAR).stream().map(lead -> share(lead, band)).toList();
    }

    /** Whether the sheet states the ranges of all of its elements for cellular. */
    public boolean statesRanges() {
        return !ranges.isEmpty()
                || !leads.isEmpty()
                        && leads(Use.CELLULAR).stream()
                                .noneMatch(l -> l.ranges().isEmpty());
    }

    /** The leads for a use. */
    public List<Lead> leads(Use use) {
        return leads.stream().filter(l -> l.use() == use).toList();
    }
}

package syntoma.core.chain;

import java.util.OptionalDouble;
import syntoma.core.band.Span;
import syntoma.core.unit.Values;

/**
 * A frequency range of an antenna with the gain at its edges; between them the gain is linear in frequency.
 *
 * <pre>{@code
 * GainRange range = new GainRange(new syntoma.core.band.Span(1700, 2700), OptionalDouble.of(3), OptionalDouble.of(5));
 * range.gainDbi(2200) // 4.0
 * }</pre>
 *
 * @param fromDbi gain in dBi at the lower edge; empty when the sheet does not say
 * @param toDbi gain in dBi at the upper edge
 */
public record GainRange(Span span, OptionalDouble fromDbi, OptionalDouble toDbi) {
    public static final double LEAST_DBI = -20;
    public static final double MOST_DBI = 40;

    public GainRange {
        fromDbi.ifPresent(g -> Values.within("gain", g, LEAST_DBI, MOST_DBI, "dBi"));
        toDbi.ifPresent(g -> Values.within("gain", g, LEAST_DBI, MOST_DBI, "dBi"));
    }

    /** The gain in dBi at a frequency in MHz that lies in it; empty where the sheet does not say. */
    public OptionalDouble gainDbi(double mhz) {
        if (fromDbi.isEmpty() || toDbi.isEmpty()) {
            return fromDbi.isPresent() ? fromDbi : toDbi;
        }
        double share = (mhz - span.loMhz()) / (span.hiMhz() - span.loMhz());
        return OptionalDouble.of(fromDbi.getAsDouble() + share * (toDbi.getAsDouble() - fromDbi.getAsDouble()));
    }
}

package syntoma.core.band;

/**
 * A closed span of frequencies in MHz.
 *
 * <pre>{@code
 * new Span(791, 821).middleMhz() // 806.0
 * new Span(791, 821).contains(800)  // true
 * }</pre>
 */
public record Span(double loMhz, double hiMhz) {
    public Span {
        if (!(loMhz > 0 && hiMhz > loMhz)) {
            throw new IllegalArgumentException("a span from " + loMhz + " to " + hiMhz + " MHz has no width");
        }
    }

    /** The middle in MHz. */
    public double middleMhz() {
        return (loMhz + hiMhz) / 2;
    }

    /** Whether another span lies inside this one. */
    public boolean encloses(Span other) {
        return loMhz <= other.loMhz && hiMhz >= other.hiMhz;
    }

    public boolean contains(double mhz) {
        return mhz >= loMhz && mhz <= hiMhz;
    }
}

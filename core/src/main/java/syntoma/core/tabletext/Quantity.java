package syntoma.core.tabletext;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A unit that numbers of a table stand in, and how many of the figure's own unit one of it is. */
public enum Quantity {
    /** The figure's own unit, or none said. */
    OWN("", 1),
    BIT("b/s", 1e-6),
    KILOBIT("kb/s", 0.001),
    MEGABIT("Mb/s", 1),
    GIGABIT("Gb/s", 1000),
    KILOBYTE("kB/s", 0.008),
    MEGABYTE("MB/s", 8),
    MILLISECOND("ms", 1),
    SECOND("s", 1000),
    DECIBEL("dB", 1),
    PERCENT("%", 1);

    private static final Map<String, Quantity> NAMES = Map.ofEntries(
            Map.entry("b/s", BIT),
            Map.entry("bps", BIT),
            Map.entry("bit/s", BIT),
            Map.entry("bits/s", BIT),
            Map.entry("kb/s", KILOBIT),
            Map.entry("kbps", KILOBIT),
            Map.entry("kbit/s", KILOBIT),
            Map.entry("kbits", KILOBIT),
            Map.entry("mb/s", MEGABIT),
            Map.entry("mbps", MEGABIT),
            Map.entry("mbit/s", MEGABIT),
            Map.entry("mbit", MEGABIT),
            Map.entry("mbits", MEGABIT),
            Map.entry("mbits/s", MEGABIT),
            Map.entry("gb/s", GIGABIT),
            Map.entry("gbps", GIGABIT),
            Map.entry("gbit/s", GIGABIT),
            Map.entry("mo/s", MEGABYTE),
            Map.entry("ko/s", KILOBYTE),
            Map.entry("ms", MILLISECOND),
            Map.entry("msec", MILLISECOND),
            Map.entry("s", SECOND),
            Map.entry("sec", SECOND),
            Map.entry("db", DECIBEL),
            Map.entry("dbm", DECIBEL),
            Map.entry("%", PERCENT),
            Map.entry("pct", PERCENT));

    private final String label;
    private final double factor;

    Quantity(String label, double factor) {
        this.label = label;
        this.factor = factor;
    }

    /** How it is written. */
    public String label() {
        return label;
    }

    double factor() {
        return factor;
    }

    /**
     * The unit of a text. A rate's B is bytes and its b is bits where it is written out: MB/s and MBps are eight times Mb/s,
     * while “MBPS” and “mbps” in one case throughout are read as bits, as they are nearly always meant.
     */
    static Optional<Quantity> of(String text) {
        String unit = text.strip();
        boolean mixed = !unit.equals(unit.toUpperCase(Locale.ROOT)) && !unit.equals(unit.toLowerCase(Locale.ROOT));
        if (mixed && (unit.startsWith("MB") || unit.startsWith("Mbyte") || unit.startsWith("MByte"))) {
            return Optional.of(MEGABYTE);
        }
        if (mixed && (unit.startsWith("kB") || unit.startsWith("KB"))) {
            return Optional.of(KILOBYTE);
        }
        return Optional.ofNullable(NAMES.get(unit.toLowerCase(Locale.ROOT)));
    }
}

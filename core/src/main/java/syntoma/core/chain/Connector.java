package syntoma.core.chain;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import syntoma.core.unit.Table;
import syntoma.core.unit.Text;

/**
 * One end of a radio connection: its kind and its gender, written {@code SMA-male}. The kinds are data, beside this class.
 *
 * @param kind for FAKRA with its coding where that is known, such as FAKRA D
 * @param isMale whether the thread, or the part that moves, is inside; of RP-SMA and RP-TNC the male one has no pin
 */
public record Connector(String kind, boolean isMale) {
    private record Kind(double widthMm, String mistakenFor, String joins, int ohms) {}

    private static final String FAKRA = "FAKRA";
    /** The neutral coding, whose plug goes into every jack. */
    private static final String NEUTRAL = "FAKRA Z";

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        for (String[] f : Table.rows(Connector.class, "connectors.csv")) {
            KINDS.put(f[0], new Kind(Double.parseDouble(f[1]), f[2], f[3], Integer.parseInt(f[4])));
        }
    }

    public Connector {
        if (!KINDS.containsKey(kind)) {
            throw new IllegalArgumentException("connector is " + Text.quote(kind) + "; allowed is "
                    + String.join(", ", KINDS.keySet()) + ", with -male or" + " -female after it");
        }
    }

    /** The kinds there are. */
    public static List<String> kinds() {
        return List.copyOf(KINDS.keySet());
    }

    /**
     * Reads {@code SMA-male}.
     *
     * @throws IllegalArgumentException when the kind is not known or the gender is missing
     */
    public static Connector of(String text) {
        int cut = text.lastIndexOf('-');
        String gender = text.substring(cut + 1).strip().toLowerCase(Locale.ROOT);
        if (cut < 1 || !gender.equals("male") && !gender.equals("female")) {
            throw new IllegalArgumentException("connector is " + Text.quote(text)
                    + "; write the kind and the gender, such as SMA-male or TS9-female");
        }
        String kind = text.substring(0, cut).strip();
        String known = KINDS.keySet().stream()
                .filter(k -> k.equalsIgnoreCase(kind))
                .findFirst()
                .orElse(kind);
        return new Connector(known, gender.equals("male"));
    }

    /** Whether the two go together as they are; FAKRA of a coding that is not stated goes with each. */
    public boolean mates(Connector other) {
        return isMale != other.isMale && (kind.equals(other.kind) || codingFits(other));
    }

    private boolean codingFits(Connector other) {
        return kind.startsWith(FAKRA) && other.kind.startsWith(FAKRA) && (isNeutral() || other.isNeutral());
    }

    private boolean isNeutral() {
        return kind.equals(FAKRA) || kind.equals(NEUTRAL);
    }

    /** Whether the two go together only where their codings do, and one of them is not stated. */
    public boolean isCodingOpen(Connector other) {
        return mates(other)
                && kind.startsWith(FAKRA)
                && (kind.equals(FAKRA) != other.kind.equals(FAKRA))
                && !kind.equals(NEUTRAL)
                && !other.kind.equals(NEUTRAL);
    }

    /** Whether the two seem to go together and do not: one goes onto the other, and the pins do not meet. */
    public boolean seemsToMate(Connector other) {
        return isMistakenFor(other) && isMale != other.isMale;
    }

    /** Whether the two look alike and cannot be joined at all, because both have the thread on the same side. */
    public boolean looksLike(Connector other) {
        return isMistakenFor(other) && isMale == other.isMale;
    }

    private boolean isMistakenFor(Connector other) {
        return KINDS.get(kind).mistakenFor.equals(other.kind);
    }

    /** How it joins: screws on, pushes on, snaps on. */
    public String joins() {
        return KINDS.get(kind).joins;
    }

    /** Impedance in ohms. */
    public int ohms() {
        return KINDS.get(kind).ohms;
    }

    /** Width of a mated pair in mm. */
    public double widthMm() {
        return KINDS.get(kind).widthMm;
    }

    /** The connector that goes together with this one. */
    public Connector counterpart() {
        return new Connector(kind, !isMale);
    }

    @Override
    public String toString() {
        return kind + (isMale ? "-male" : "-female");
    }
}

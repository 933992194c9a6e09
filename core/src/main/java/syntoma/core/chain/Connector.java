package syntoma.core.chain;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import syntoma.core.unit.Table;
import syntoma.core.unit.Text;

/**
 * One end of a radio connection: its kind and its gender, written {@code SMA-male}. The kinds are data, beside this class.
 */
public record Connector(String kind, boolean male) {
    private record Kind(double widthMm, String mistakenFor) {}

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        for (String[] f : Table.rows(Connector.class, "connectors.csv")) {
            KINDS.put(f[0], new Kind(Double.parseDouble(f[1]), f[2]));
        }
    }

    public Connector {
        if (!KINDS.containsKey(kind)) {
            throw new IllegalArgumentException("connector is " + Text.quoted(kind) + "; allowed is "
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
            throw new IllegalArgumentException("connector is " + Text.quoted(text)
                    + "; write the kind and the gender, such as SMA-male or TS9-female");
        }
        String kind = text.substring(0, cut).strip();
        String known = KINDS.keySet().stream()
                .filter(k -> k.equalsIgnoreCase(kind))
                .findFirst()
                .orElse(kind);
        return new Connector(known, gender.equals("male"));
    }

    /** Whether the two go together as they are. */
    public boolean mates(Connector other) {
        return kind.equals(other.kind) && male != other.male;
    }

    /** Whether the two seem to go together and do not: the thread fits, the pin does not. */
    public boolean seemsToMate(Connector other) {
        return !mates(other) && (KINDS.get(kind).mistakenFor.equals(other.kind));
    }

    /** Width of a mated pair in mm. */
    public double widthMm() {
        return KINDS.get(kind).widthMm;
    }

    /** The connector that goes together with this one. */
    public Connector counterpart() {
        return new Connector(kind, !male);
    }

    @Override
    public String toString() {
        return kind + (male ? "-male" : "-female");
    }
}

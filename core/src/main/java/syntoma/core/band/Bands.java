package syntoma.core.band;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import syntoma.core.band.Band.Technology;
import syntoma.core.unit.Table;
import syntoma.core.unit.Text;

/**
 * The operating bands of all regions: E-UTRA by TS 36.101 table 5.5-1, NR by TS 38.101-1, -2 and -5. Bands without a
 * downlink (supplementary uplink) are known by name only, because no device is served on one alone.
 */
public final class Bands {
    /** An E-UTRA band with the first channel numbers of its spans (TS 36.101 table 5.7.3-1). */
    record Eutra(Band band, int firstDownlink, Optional<Integer> firstUplink) {
        int channels() {
            return (int) Math.round((band.downlink().hiMhz() - band.downlink().loMhz()) * 10);
        }

        int uplinkChannels() {
            return band.uplink()
                    .map(u -> (int) Math.round((u.hiMhz() - u.loMhz()) * 10))
                    .orElse(0);
        }
    }

    private static final List<Eutra> EUTRA = new ArrayList<>();
    private static final Map<String, Band> BY_NAME = new LinkedHashMap<>();
    private static final Set<String> UPLINK_ONLY;

    static {
        for (String[] f : Table.rows(Bands.class, "eutra.csv")) {
            Band band = band("B" + f[0], Technology.LTE, f);
            BY_NAME.put(band.name(), band);
            EUTRA.add(new Eutra(
                    band,
                    Integer.parseInt(f[6]),
                    f[7].isEmpty() ? Optional.empty() : Optional.of(Integer.parseInt(f[7]))));
        }
        List<String[]> nr = Table.rows(Bands.class, "nr.csv");
        UPLINK_ONLY =
                nr.stream().filter(f -> f[1].equals("SUL")).map(f -> "n" + f[0]).collect(Collectors.toSet());
        nr.stream()
                .filter(f -> !f[1].equals("SUL"))
                .map(f -> band("n" + f[0], Technology.NR, f))
                .forEach(band -> BY_NAME.put(band.name(), band));
    }

    private Bands() {}

    /** All bands, E-UTRA first, each technology in the order of its numbers. */
    public static List<Band> all() {
        return List.copyOf(BY_NAME.values());
    }

    /**
     * The band of a name such as B20 or n78, in either case.
     *
     * @throws IllegalArgumentException when there is none, saying so
     */
    public static Band of(String name) {
        String wanted = canonical(name);
        Band band = BY_NAME.get(wanted);
        if (band != null) {
            return band;
        }
        throw new IllegalArgumentException(
                UPLINK_ONLY.contains(wanted)
                        ? "band " + wanted
                                + " is a supplementary uplink without a downlink; name the band it accompanies"
                        : "no band is named " + Text.quote(name) + "; write B1 to B111 for LTE or n1 to n512 for NR");
    }

    static List<Eutra> eutra() {
        return EUTRA;
    }

    private static String canonical(String name) {
        String text = name.strip();
        if (text.isEmpty()) {
            return text;
        }
        String first = text.substring(0, 1).toLowerCase(Locale.ROOT);
        return (first.equals("b") ? "B" : first) + text.substring(1);
    }

    private static Band band(String name, Technology rat, String[] f) {
        Optional<Span> uplink = f[2].isEmpty()
                ? Optional.empty()
                : Optional.of(new Span(Double.parseDouble(f[2]), Double.parseDouble(f[3])));
        return new Band(
                name, rat, Duplex.valueOf(f[1]), uplink, new Span(Double.parseDouble(f[4]), Double.parseDouble(f[5])));
    }
}

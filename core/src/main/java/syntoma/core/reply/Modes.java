package syntoma.core.reply;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What routers call the technology in use. */
final class Modes {
    static final String NONE = "none";

    /** Not the end of SINR or SNR. */
    private static final Pattern NR = Pattern.compile("5G|(?<![A-Z])NR");

    private Modes() {}

    /** The mode that a text names; a bare “5G” is told apart by the cells. */
    static Optional<String> mode(Optional<String> text, List<Cell> cells) {
        boolean lte =
                cells.stream().anyMatch(c -> c.role() == Role.PRIMARY && c.rat().equals(Optional.of("LTE")));
        boolean leg = cells.stream().anyMatch(c -> c.role() == Role.NR);
        boolean alone =
                cells.stream().anyMatch(c -> c.role() == Role.PRIMARY && c.rat().equals(Optional.of("NR")));
        String t = text.orElse("")
                .toUpperCase(Locale.ROOT)
                .replaceAll("[^A-Z0-9]+", " ")
                .strip();
        if (t.matches(
                ".*\\b(NO SERVICE|NOSERVICE|NONE|NOT REGISTERED|SEARCHING|LIMITED|LIMITED SERVICE|OFFLINE|UNREGISTERED|DISCONNECTED|DENIED)\\b.*")) {
            return Optional.of(NONE);
        }
        if (t.matches(".*(NSA|EN ?DC).*")) {
            return Optional.of("NR-NSA");
        }
        if (t.matches(".*\\bSA\\b.*")) {
            return Optional.of("NR-SA");
        }
        if (NR.matcher(t).find() || t.isEmpty() && (leg || alone)) {
            return Optional.of(leg || lte ? "NR-NSA" : "NR-SA");
        }
        if (t.isEmpty()) {
            return lte ? Optional.of("LTE") : Optional.empty();
        }
        // an LTE anchor that has an NR leg beside it is NSA, whatever the anchor is called
        return rat(t).map(r -> r.equals("LTE") && leg ? "NR-NSA" : r);
    }

    /** The technology of one cell: LTE, NR, UMTS or GSM. */
    static Optional<String> rat(String text) {
        String t = text.toUpperCase(Locale.ROOT);
        if (NR.matcher(t).find()) {
            return Optional.of("NR");
        }
        if (t.matches(".*(LTE|4G|E-?UTRA).*")) {
            return Optional.of("LTE");
        }
        if (t.matches(".*(UMTS|WCDMA|HSPA|HSDPA|3G).*")) {
            return Optional.of("UMTS");
        }
        return t.matches(".*(GSM|EDGE|GPRS|2G).*") ? Optional.of("GSM") : Optional.empty();
    }
}

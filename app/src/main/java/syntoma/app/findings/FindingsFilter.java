package syntoma.app.findings;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.advice.DayPart;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Which measurements are looked at; what is empty does not narrow them.
 *
 * @param stays numbers of stays
 * @param setups names
 * @param partsOfDay parts of the day
 * @param from first day, on the campsite’s clock
 * @param to last day
 * @param area where the campsites lie
 */
record FindingsFilter(
        List<Long> stays,
        List<String> campsites,
        List<String> setups,
        List<String> carriers,
        List<String> bands,
        List<DayPart> partsOfDay,
        Optional<LocalDate> from,
        Optional<LocalDate> to,
        Optional<Area> area) {

    /** All of the log. */
    static final FindingsFilter ALL = new FindingsFilter(
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    /** The same within an area. */
    FindingsFilter in(Area there) {
        return new FindingsFilter(stays, campsites, setups, carriers, bands, partsOfDay, from, to, Optional.of(there));
    }

    /** A rectangle in degrees, its edges included; from its western edge eastward, also over the 180th meridian. */
    record Area(double south, double west, double north, double east) {
        static Area of(String text) {
            String[] parts = text.split(",", -1);
            double[] edges = new double[4];
            boolean sound = parts.length == edges.length;
            for (int i = 0; sound && i < edges.length; i++) {
                double most = i % 2 == 0 ? 90 : 180;
                edges[i] = Values.typed(parts[i]).orElse(Double.NaN);
                sound = edges[i] >= -most && edges[i] <= most;
            }
            if (!sound || edges[0] > edges[2]) {
                throw new InvalidInputException(
                        "area",
                        "area is " + Text.quote(text)
                                + "; allowed are four numbers with commas: south, west, north, east in degrees");
            }
            return new Area(edges[0], edges[1], edges[2], edges[3]);
        }

        boolean holds(double lat, double lon) {
            boolean between = west <= east ? lon >= west && lon <= east : lon >= west || lon <= east;
            return lat >= south && lat <= north && between;
        }
    }

    static List<DayPart> parts(List<String> labels) {
        return labels.stream()
                .map(label -> InvalidInputException.naming(
                        "when",
                        () -> Labels.find("when", label, DayPart.values(), part -> part.name()
                                .toLowerCase(Locale.ROOT))))
                .toList();
    }

    static Optional<LocalDate> day(String field, @Nullable String text) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(text.strip()));
        } catch (DateTimeParseException unread) {
            throw new InvalidInputException(
                    field, field + " is " + Text.quote(text) + "; allowed is a day such as 2026-08-14");
        }
    }
}

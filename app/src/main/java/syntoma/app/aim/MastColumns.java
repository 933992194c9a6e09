package syntoma.app.aim;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.place.Coordinates;
import syntoma.core.reading.Figure;
import syntoma.core.tabletext.Column;
import syntoma.core.tabletext.Proposal;
import syntoma.core.unit.Values;

/** Which column of a list of masts is which: by Syntoma's own names, or by what others call them. */
final class MastColumns {
    static final List<String> OWN =
            List.of("name", "carrier", "cell_id", "lat", "lon", "estimated", "long_m", "short_m", "long_deg");

    /** Latitude and longitude in one column. */
    private static final String PLACE = "place";

    /** Words of a heading over the names of masts. */
    private static final Set<String> NAMES = Set.of(
            "mast", "tower", "station", "title", "label", "sendemast", "pylône", "torre", "torn", "masto", "name");

    private static final Map<Figure, String> KNOWN = Map.of(
            Figure.CAMPSITE, "name",
            Figure.CARRIER, "carrier",
            Figure.CELL_ID, "cell_id",
            Figure.LAT, "lat",
            Figure.LON, "lon");

    private final Map<String, Integer> places = new TreeMap<>();

    /**
     * Finds them.
     *
     * @param rows some rows, each as wide as the header
     * @throws InvalidInputException when it is a list without names or places
     */
    MastColumns(List<String> header, List<List<String>> rows) {
        List<String> plain = header.stream()
                .map(heading -> heading.strip().toLowerCase(Locale.ROOT).replace(' ', '_'))
                .toList();
        for (int i = 0; i < plain.size(); i++) {
            if (OWN.contains(plain.get(i))) {
                places.putIfAbsent(plain.get(i), i);
            }
        }
        for (int i = 0; i < plain.size(); i++) {
            if (words(plain.get(i)).anyMatch(NAMES::contains)
                    && words(plain.get(i)).noneMatch("id"::equals)) {
                places.putIfAbsent("name", i);
            }
        }
        List<Column> proposed = Proposal.of(header, rows).columns();
        for (int i = 0; i < proposed.size(); i++) {
            int place = i;
            if (places.containsValue(i)) {
                continue;
            }
            if (proposed.get(i).use() == Column.Use.COORDINATES) {
                places.putIfAbsent(PLACE, i);
            }
            // a mast's type or height is not its cell
            boolean ofMast = words(plain.get(i)).anyMatch(NAMES::contains);
            proposed.get(i)
                    .figure()
                    .filter(figure -> figure != Figure.CELL_ID || !ofMast)
                    .map(KNOWN::get)
                    .ifPresent(own -> places.putIfAbsent(own, place));
        }
        require("name", places.containsKey("name") || places.containsKey("cell_id"));
        for (String degrees : List.of("lat", "lon")) {
            require(degrees, places.containsKey(degrees) || places.containsKey(PLACE));
        }
    }

    private static Stream<String> words(String name) {
        return Arrays.stream(name.split("[^\\p{L}]+"));
    }

    private static void require(String column, boolean there) {
        if (!there) {
            throw new InvalidInputException(
                    column, "the column " + column + " is missing; allowed are " + String.join(", ", OWN));
        }
    }

    /** What a column of a row holds; null where that is nothing. */
    @Nullable
    String cell(List<String> row, String own) {
        Integer at = places.get(own);
        return at == null || at >= row.size() || row.get(at).isBlank()
                ? null
                : row.get(at).strip();
    }

    /** A mast's name, or that of its cell where it has none. */
    @Nullable
    String name(List<String> row) {
        String cell = cell(row, "cell_id");
        return Optional.ofNullable(cell(row, "name")).orElse(cell == null ? null : "Cell " + cell);
    }

    /**
     * Where a mast stands; empty where the row does not say.
     *
     * @throws IllegalArgumentException naming what cannot be read
     */
    Optional<Coordinates> place(List<String> row) {
        String lat = cell(row, "lat");
        String lon = cell(row, "lon");
        if (lat == null && lon == null) {
            String place = cell(row, PLACE);
            return place == null ? Optional.empty() : Optional.of(Coordinates.read(place));
        }
        if (lat == null || lon == null) {
            return Optional.empty();
        }
        boolean plain = Values.typed(lat).isPresent() && Values.typed(lon).isPresent();
        return Optional.of(
                plain
                        ? new Coordinates(
                                Values.typed(lat).getAsDouble(),
                                Values.typed(lon).getAsDouble())
                        : Coordinates.read(lat + " " + lon));
    }
}

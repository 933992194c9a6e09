package syntoma.app.aim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.csv.Cells;
import syntoma.app.csv.CsvCells;
import syntoma.app.csv.GuardedCsv;
import syntoma.app.csv.SpreadsheetGuard;
import syntoma.app.platform.GeoJson;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.place.Coordinates;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Lists of masts in and out, as CSV or GeoJSON. A list is read as a whole before anything is kept. Of an estimated one the half-axes of the ellipse that holds it are beside it, in
 * metres, and the bearing of the longer.
 */
@Service
public class MastFiles {
    /** How a list says that a mast is known. */
    private static final Set<String> NOT = Set.of("", "false", "no", "0");

    private static final Map<String, String> OF_GEOJSON =
            Map.of("long_m", "longM", "short_m", "shortM", "long_deg", "longDeg");

    /** More are no list of one trip, and would keep everybody else waiting while they are stored. */
    private static final int MOST_MASTS = 20_000;

    /** Rows by which a list is judged. */
    private static final int JUDGED = 200;

    private final Masts masts;

    MastFiles(Masts masts) {
        this.masts = masts;
    }

    /** A mast that was not taken in; {@code item} counts from 1. */
    public record RejectedMast(int item, String name, String message) {}

    /** What became of a list of masts. */
    public record MastsReport(int accepted, int duplicates, List<RejectedMast> rejected) {}

    @Transactional(readOnly = true)
    void writeCsv(Writer out) throws IOException {
        GuardedCsv csv = new GuardedCsv(out, MastColumns.OWN);
        for (Mast mast : masts.all()) {
            for (Object value : new Object[] {
                mast.name,
                mast.carrier,
                mast.cellId,
                mast.lat,
                mast.lon,
                mast.estimated,
                mast.longMetres,
                mast.shortMetres,
                mast.longDeg
            }) {
                csv.cell(value);
            }
            csv.endRow();
        }
        csv.flush();
    }

    @Transactional(readOnly = true)
    List<GeoJson.Feature> features() {
        return masts.all().stream()
                .map(m -> new GeoJson.Feature(
                        BigDecimal.valueOf(m.lat),
                        BigDecimal.valueOf(m.lon),
                        GeoJson.properties()
                                .put("name", m.name)
                                .put("carrier", m.carrier)
                                .put("cellId", m.cellId)
                                .put("estimated", m.estimated)
                                .put("longM", m.longMetres)
                                .put("shortM", m.shortMetres)
                                .put("longDeg", m.longDeg)))
                .toList();
    }

    /** Takes a list as CSV in, also as others call its columns, with semicolons and decimal commas. */
    public MastsReport takeCsv(byte[] file) {
        List<List<String>> rows = rows(file);
        if (rows.isEmpty()) {
            throw new InvalidInputException("masts", "the file is empty; it needs a header and rows");
        }
        MastColumns columns =
                new MastColumns(rows.get(0), rows.stream().skip(1).limit(JUDGED).toList());
        return takeIn(rows.stream().skip(1).map(row -> entry(row, columns)).toList());
    }

    /** Its rows, each as wide as the first. */
    private static List<List<String>> rows(byte[] file) {
        List<List<String>> rows = new ArrayList<>();
        try (CsvCells cells = CsvCells.of(file)) {
            for (Cells.Row read = cells.next(); read != null; read = cells.next()) {
                if (!read.fault().isEmpty()) {
                    throw new InvalidInputException("masts", read.fault());
                }
                if (rows.size() > MOST_MASTS) {
                    throw new InvalidInputException(
                            "masts", "the list has more than " + MOST_MASTS + " rows; split it by area");
                }
                List<String> row = new ArrayList<>();
                read.cells().forEach(cell -> row.add(SpreadsheetGuard.off(cell.strip())));
                while (!rows.isEmpty() && row.size() < rows.get(0).size()) {
                    row.add("");
                }
                rows.add(row);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return rows;
    }

    /**
     * A mast of a list.
     *
     * @param problem why none can be read; empty where one can
     */
    private record Entry(Masts.ListedMast mast, String problem) {}

    private static Entry entry(List<String> row, MastColumns columns) {
        Optional<Coordinates> place = Optional.empty();
        String problem = "";
        try {
            place = columns.place(row);
        } catch (IllegalArgumentException unread) {
            problem = unread.getMessage();
        }
        return new Entry(
                listedMast(
                        new Masts.MastRequest(
                                columns.name(row),
                                columns.cell(row, "carrier"),
                                columns.cell(row, "cell_id"),
                                place.map(Coordinates::lat).orElse(null),
                                place.map(Coordinates::lon).orElse(null)),
                        columns.cell(row, "estimated"),
                        name -> columns.cell(row, name)),
                problem);
    }

    private static Masts.ListedMast listedMast(
            Masts.MastRequest mast, @Nullable String estimated, UnaryOperator<String> measure) {
        return new Masts.ListedMast(
                mast,
                estimated == null || NOT.contains(estimated.toLowerCase(Locale.ROOT))
                        ? Optional.empty()
                        : Optional.of(new Masts.Ellipse(
                                number(measure.apply("long_m")),
                                number(measure.apply("short_m")),
                                number(measure.apply("long_deg")))));
    }

    /** Not a number where it cannot be read, which no place and no measure has. */
    @Nullable
    private static Double number(@Nullable String text) {
        return text == null ? null : (Double) Values.typed(text).orElse(Double.NaN);
    }

    /** Takes a list as GeoJSON in. */
    MastsReport takeGeoJson(byte[] file) {
        return takeIn(GeoJson.read(file).stream()
                .map(f -> new Entry(
                        listedMast(
                                new Masts.MastRequest(
                                        f.text("name", "title"),
                                        f.text("carrier"),
                                        f.text("cellId", "cell_id"),
                                        f.lat() == null ? null : f.lat().doubleValue(),
                                        f.lon() == null ? null : f.lon().doubleValue()),
                                f.text("estimated"),
                                name -> f.text(name, OF_GEOJSON.get(name))),
                        f.problem() == null ? "" : f.problem()))
                .toList());
    }

    private MastsReport takeIn(List<Entry> list) {
        if (list.size() > MOST_MASTS) {
            throw new InvalidInputException(
                    "masts", "the list has " + list.size() + " places; allowed are up to " + MOST_MASTS);
        }
        List<Masts.ListedMast> allowed = new ArrayList<>();
        List<RejectedMast> rejected = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            Masts.ListedMast listed = list.get(i).mast;
            Optional<String> refusal =
                    list.get(i).problem.isEmpty() ? Masts.refusal(listed) : Optional.of(list.get(i).problem);
            if (refusal.isPresent()) {
                String name = listed.mast().name();
                rejected.add(new RejectedMast(i + 1, name == null ? "" : Text.shortened(name), refusal.get()));
            } else {
                allowed.add(listed);
            }
        }
        int kept = masts.keepNew(allowed);
        return new MastsReport(kept, allowed.size() - kept, rejected);
    }
}

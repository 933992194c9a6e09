package syntoma.app.archive;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import syntoma.app.exchange.ExportService;
import syntoma.app.photo.Photos;
import syntoma.app.store.StoreTables;

/** Writes the archive: the same store always gives the same bytes. */
@Component
class Archives {
    /** What is written in the manifest, so that a reader knows what it has. */
    static final String FORMAT = "syntoma-archive";

    static final int VERSION = 1;
    static final String MANIFEST = "manifest.json";
    static final String TABLES = "tables/";
    static final String PHOTOS = "photos/";

    private static final String EXPLAINED = "README.txt";
    private static final String CSV = "measurements.csv";

    /** The files beside tables and photos. */
    static final Set<String> BESIDE = Set.of(EXPLAINED, MANIFEST, CSV);

    /** So that the moment of writing does not tell archives apart. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private static final String README =
            """
            An archive of a Syntoma log: everything but the pass phrase, certificates and the secrets of devices.

            manifest.json      what this is, and how many rows of what there are
            measurements.csv   the measurements for other programs; not read when the archive is taken in
            tables/*.jsonl     all rows, one JSON object a line; a column that is missing is empty
            photos/*.jpg       pictures, each named by the SHA-256 of its bytes

            Take it in with POST /api/archive, or under Logbook, In and out.
            """;

    private final StoreTables tables;
    private final Photos photos;
    private final ExportService csv;
    private final ObjectMapper json = new ObjectMapper().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS);

    Archives(StoreTables tables, Photos photos, ExportService csv) {
        this.tables = tables;
        this.photos = photos;
        this.csv = csv;
    }

    /** Writes all of the store as it is at one moment. */
    void write(OutputStream out) {
        tables.look(view -> {
            try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
                begin(zip, EXPLAINED);
                zip.write(README.getBytes(StandardCharsets.UTF_8));
                Map<String, Long> counts = new TreeMap<>();
                for (StoreTables.Table table : view.tables()) {
                    begin(zip, TABLES + table.name() + ".jsonl");
                    counts.put(table.name(), rows(zip, view, table));
                }
                begin(zip, CSV);
                Writer text = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                csv.write(text);
                text.flush();
                for (Path photo : photos.files()) {
                    begin(zip, PHOTOS + photo.getFileName());
                    Files.copy(photo, zip);
                }
                begin(zip, MANIFEST);
                zip.write(json.writerWithDefaultPrettyPrinter()
                        .writeValueAsBytes(manifest(view, counts, photos.files().size())));
                zip.closeEntry();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    private static Map<String, Object> manifest(StoreTables.View view, Map<String, Long> counts, int pictures) {
        Map<String, Object> manifest = new LinkedHashMap<>();
        manifest.put("format", FORMAT);
        manifest.put("version", VERSION);
        manifest.put("layout", Integer.parseInt(view.layout()));
        manifest.put("rows", counts);
        manifest.put("next", view.next());
        manifest.put("photos", pictures);
        return manifest;
    }

    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(NO_TIME);
        zip.putNextEntry(entry);
    }

    private long rows(ZipOutputStream zip, StoreTables.View view, StoreTables.Table table) throws IOException {
        long[] count = {0};
        JsonGenerator out = json.getFactory().createGenerator(zip);
        out.disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
        out.setRootValueSeparator(null);
        view.read(table, values -> {
            try {
                row(out, table, values);
                out.writeRaw('\n');
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            count[0]++;
        });
        out.flush();
        out.close();
        return count[0];
    }

    private static void row(JsonGenerator out, StoreTables.Table table, Object[] values) throws IOException {
        out.writeStartObject();
        for (int i = 0; i < values.length; i++) {
            Object value = values[i];
            if (value == null) {
                continue;
            }
            out.writeFieldName(table.columns().get(i).name());
            if (value instanceof OffsetDateTime time) {
                out.writeString(DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(time));
            } else if (value instanceof Boolean truth) {
                out.writeBoolean(truth);
            } else if (value instanceof Double decimal) {
                out.writeNumber(decimal);
            } else if (value instanceof Number number) {
                out.writeNumber(number.longValue());
            } else {
                out.writeString(value.toString());
            }
        }
        out.writeEndObject();
    }
}

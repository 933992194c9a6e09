package syntoma.app.archive;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.Enumeration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.store.StoreTables;
import syntoma.core.unit.Text;

/** An archive that came in: looked at as a whole before anything of it is kept. Refusals name the file in it and the line. */
final class Archive implements AutoCloseable {
    /** A picture is never larger than what may be sent of one. */
    private static final int LARGEST_PHOTO = 25_000_000;

    /** Longer than any row: a long curve, a long note. */
    private static final int LONGEST_LINE = 4_000_000;

    /** Unpacked; a little file that unpacks to more than this is none of ours. */
    private static final long MOST_BYTES = 20_000_000_000L;

    private static final int MOST_FILES = 200_000;
    private static final Pattern PHOTO = Pattern.compile("photos/([0-9a-f]{64})\\.jpg");
    private static final ObjectMapper JSON = new ObjectMapper();

    private final ZipFile zip;
    private final JsonNode manifest;
    private long unpacked;

    private Archive(ZipFile zip) throws IOException {
        this.zip = zip;
        ZipEntry entry = zip.getEntry(Archives.MANIFEST);
        if (entry == null) {
            throw refuse("it has no manifest.json, so it is no archive of Syntoma");
        }
        try (InputStream in = open(entry)) {
            manifest = JSON.readTree(in.readNBytes(LONGEST_LINE));
        } catch (JacksonException unread) {
            throw refuse("its manifest.json is no JSON");
        }
        if (!manifest.path("format").asText().equals(Archives.FORMAT)) {
            throw refuse("its format is " + Text.quote(manifest.path("format").asText()) + "; allowed is "
                    + Archives.FORMAT);
        }
        if (manifest.path("version").asInt() != Archives.VERSION) {
            throw refuse("its version is " + manifest.path("version").asText() + "; allowed is " + Archives.VERSION);
        }
    }

    /**
     * Opens an archive.
     *
     * @throws InvalidInputException when it is none
     */
    static Archive open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
        } catch (ZipException | IllegalArgumentException none) {
            throw refuse("it is no zip file, or was cut off on its way");
        }
        try {
            return new Archive(zip);
        } catch (RuntimeException | IOException refused) {
            zip.close();
            throw refused;
        }
    }

    private static InvalidInputException refuse(String why) {
        return new InvalidInputException("archive", "the archive cannot be taken in: " + why);
    }

    int layout() {
        return manifest.path("layout").asInt();
    }

    /** The number that the next row of each table is to get. */
    Map<String, Long> next(List<StoreTables.Table> tables) {
        Map<String, Long> next = new TreeMap<>();
        for (StoreTables.Table table : tables) {
            JsonNode number = manifest.path("next").path(table.name());
            if (number.canConvertToLong() && number.asLong() > 0) {
                next.put(table.name(), number.asLong());
            }
        }
        return next;
    }

    /**
     * Looks at everything without keeping anything.
     *
     * @return how many rows there are
     */
    long check(List<StoreTables.Table> tables, int layoutHere) {
        if (layout() < 1 || layout() > layoutHere) {
            throw refuse("its layout is " + layout() + "; this version of Syntoma reads up to " + layoutHere
                    + (layout() > layoutHere ? ". Take a newer Syntoma" : ""));
        }
        Set<String> known = new HashSet<>(Archives.BESIDE);
        tables.forEach(t -> known.add(tableFile(t)));
        requireKnown(known);
        for (String name : Archives.BESIDE) {
            readThrough(name);
        }
        long rows = 0;
        for (StoreTables.Table table : tables) {
            long[] own = {0};
            each(table, values -> own[0]++);
            long said = manifest.path("rows").path(table.name()).asLong();
            if (own[0] != said) {
                throw refuse("tables/" + table.name() + ".jsonl has " + own[0] + " rows; the manifest says " + said);
            }
            rows += own[0];
        }
        return rows;
    }

    /** Refuses files that no archive has, or has twice. */
    private void requireKnown(Set<String> known) {
        Set<String> seen = new HashSet<>();
        Enumeration<? extends ZipEntry> entries = zip.entries();
        while (entries.hasMoreElements()) {
            String name = entries.nextElement().getName();
            if (seen.size() >= MOST_FILES) {
                throw refuse("it has more than " + MOST_FILES + " files");
            }
            if (!known.contains(name) && !PHOTO.matcher(name).matches()) {
                throw refuse("it holds " + Text.quote(name) + ", which is not known");
            }
            if (!seen.add(name)) {
                throw refuse("it holds " + name + " twice");
            }
        }
    }

    private static String tableFile(StoreTables.Table table) {
        return Archives.TABLES + table.name() + ".jsonl";
    }

    /** A file in it, whose sum is judged at its end. */
    private InputStream open(ZipEntry entry) throws IOException {
        return new CheckedInputStream(zip.getInputStream(entry), new CRC32()) {
            @Override
            public int read(byte[] bytes, int from, int length) throws IOException {
                int read = super.read(bytes, from, length);
                if (read < 0 && getChecksum().getValue() != entry.getCrc()) {
                    throw new ZipException("the sum is wrong");
                }
                return read;
            }
        };
    }

    private void readThrough(String name) {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            return;
        }
        byte[] piece = new byte[1 << 16];
        try (InputStream in = open(entry)) {
            for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                count(read);
            }
        } catch (ZipException | EOFException cut) {
            throw refuse(name + " is damaged");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void count(long bytes) {
        unpacked += bytes;
        if (unpacked > MOST_BYTES) {
            throw refuse("it unpacks to more than " + MOST_BYTES / 1_000_000_000 + " GB");
        }
    }

    /** The hashes of the pictures in it. */
    List<String> photos() {
        return zip.stream()
                .map(e -> PHOTO.matcher(e.getName()))
                .filter(Matcher::matches)
                .map(m -> m.group(1))
                .sorted()
                .toList();
    }

    /** The bytes of a picture. */
    byte[] photo(String hash) throws IOException {
        try (InputStream in = zip.getInputStream(zip.getEntry(Archives.PHOTOS + hash + ".jpg"))) {
            byte[] bytes = in.readNBytes(LARGEST_PHOTO + 1);
            if (bytes.length > LARGEST_PHOTO) {
                throw refuse("photos/" + hash + ".jpg has more than " + LARGEST_PHOTO / 1_000_000 + " MB");
            }
            return bytes;
        }
    }

    /** All rows of a table, as the store takes them; none where the archive is from before there was such a table. */
    void each(StoreTables.Table table, StoreTables.Sink sink) {
        String name = tableFile(table);
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            return;
        }
        try (BufferedReader in = new BufferedReader(new InputStreamReader(open(entry), StandardCharsets.UTF_8))) {
            int number = 0;
            for (String line = line(in, name); line != null; line = line(in, name)) {
                number++;
                sink.row(row(table, line, name + ", line " + number));
            }
        } catch (ZipException | EOFException cut) {
            throw refuse(name + " is damaged");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String line(BufferedReader in, String name) throws IOException {
        StringBuilder line = new StringBuilder();
        int c = in.read();
        if (c < 0) {
            return null;
        }
        while (c >= 0 && c != '\n') {
            line.append((char) c);
            if (line.length() > LONGEST_LINE) {
                throw refuse(name + " has a line of more than " + LONGEST_LINE + " characters");
            }
            c = in.read();
        }
        count(line.length());
        return line.toString();
    }

    private static Object[] row(StoreTables.Table table, String line, String where) {
        JsonNode node;
        try {
            node = JSON.readTree(line);
        } catch (JacksonException unread) {
            throw refuse(where + " is no JSON");
        }
        if (node == null || !node.isObject()) {
            throw refuse(where + " is no JSON object");
        }
        Object[] values = new Object[table.columns().size()];
        int found = 0;
        for (int i = 0; i < values.length; i++) {
            StoreTables.Column column = table.columns().get(i);
            JsonNode value = node.get(column.name());
            if (value == null || value.isNull()) {
                if (column.required()) {
                    throw refuse(where + " has no " + column.name());
                }
                found += value == null ? 0 : 1;
                values[i] = column.otherwise();
                continue;
            }
            found++;
            values[i] = value(column, value, where);
        }
        if (found != node.size()) {
            node.fieldNames().forEachRemaining(name -> {
                if (table.columns().stream().noneMatch(c -> c.name().equals(name))) {
                    throw refuse(where + " has " + Text.quote(name) + ", which is not known");
                }
            });
        }
        return values;
    }

    private static Object value(StoreTables.Column column, JsonNode value, String where) {
        boolean fits =
                switch (column.kind()) {
                    case NUMBER -> value.isIntegralNumber() && value.canConvertToLong();
                    case DECIMAL -> value.isNumber();
                    case TRUTH -> value.isBoolean();
                    case TEXT, TIME -> value.isTextual();
                };
        if (!fits) {
            throw refuse(where + ": " + column.name() + " is " + Text.quote(value.toString()) + "; allowed is "
                    + switch (column.kind()) {
                        case NUMBER -> "a whole number";
                        case DECIMAL -> "a number";
                        case TRUTH -> "true or false";
                        case TEXT -> "a text";
                        case TIME -> "a time with its offset";
                    });
        }
        return switch (column.kind()) {
            case NUMBER -> value.asLong();
            case DECIMAL -> value.asDouble();
            case TRUTH -> value.asBoolean();
            case TEXT -> value.asText();
            case TIME -> time(column, value.asText(), where);
        };
    }

    private static OffsetDateTime time(StoreTables.Column column, String text, String where) {
        try {
            return OffsetDateTime.parse(text);
        } catch (DateTimeParseException unread) {
            throw refuse(
                    where + ": " + column.name() + " is " + Text.quote(text) + "; allowed is a time with its offset");
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}

package syntoma.app.exchange;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Metadata;
import io.jenetics.jpx.WayPoint;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.springframework.lang.Nullable;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import syntoma.app.platform.InvalidInput;

/**
 * Stays as waypoints of GPX 1.1. The time of a waypoint is the arrival; arrival and departure with their offsets stand in an
 * extension, since GPX knows no spans and no offsets.
 */
final class GpxFile {
    private static final String OWN = "urn:syntoma:stay:1";
    private static final String CREATOR = "Syntoma";
    private static final Pattern WAYPOINT = Pattern.compile("<(?:\\w+:)?WPT[\\s>]");

    private GpxFile() {}

    /** Writes the stays that have coordinates; a waypoint cannot be without. */
    static void write(List<StayPoint> stays, OutputStream out) throws IOException {
        List<StayPoint> placed =
                stays.stream().filter(s -> s.lat() != null && s.lon() != null).toList();
        GPX.Builder gpx = GPX.builder(CREATOR);
        int left = stays.size() - placed.size();
        gpx.metadata(Metadata.builder()
                .name("Stays")
                .desc(left == 0 ? "All stays" : "Without " + left + " whose campsite has no coordinates")
                .build());
        placed.forEach(stay -> gpx.addWayPoint(point(stay)));
        GPX.Writer.of(new GPX.Writer.Indent("  "), digits()).write(gpx.build(), out);
    }

    private static int digits() {
        return 12;
    }

    private static WayPoint point(StayPoint stay) {
        WayPoint.Builder point = WayPoint.builder()
                .lat(stay.lat().doubleValue())
                .lon(stay.lon().doubleValue())
                .name(stay.campsite())
                .type("stay");
        if (stay.surroundings() != null) {
            point.desc(stay.surroundings());
        }
        if (stay.arrivedAt() != null) {
            point.time(stay.arrivedAt().toInstant()).extensions(extension(stay));
        }
        return point.build();
    }

    private static Document extension(StayPoint stay) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            Document document = factory.newDocumentBuilder().newDocument();
            Element extensions = document.createElementNS("http://www.topografix.com/GPX/1/1", "extensions");
            Element own = document.createElementNS(OWN, "stay");
            own.setAttribute("arrived", DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(stay.arrivedAt()));
            if (stay.leftAt() != null) {
                own.setAttribute("left", DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(stay.leftAt()));
            }
            extensions.appendChild(own);
            document.appendChild(extensions);
            return document;
        } catch (ParserConfigurationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /**
     * Reads the waypoints of a file.
     *
     * @throws InvalidInput when it is no GPX
     */
    static Waypoints read(byte[] given) {
        byte[] file = withoutMark(given);
        String plain = plain(file);
        refuseDefinitions(plain);
        GPX gpx;
        try {
            gpx = GPX.Reader.of(GPX.Reader.Mode.LENIENT).read(new ByteArrayInputStream(file));
        } catch (IOException | RuntimeException unread) {
            throw new InvalidInput("gpx", "the file is no GPX that can be read: " + reason(unread));
        }
        List<StayPoint> read = gpx.wayPoints().map(GpxFile::stay).toList();
        long there = WAYPOINT.matcher(plain).results().count();
        return new Waypoints(read, (int) Math.max(0, there - read.size()));
    }

    /**
     * The waypoints of a file.
     *
     * @param unread how many more there are that cannot be read, such as those off the globe
     */
    record Waypoints(List<StayPoint> points, int unread) {}

    private static String reason(Exception unread) {
        Throwable cause = unread;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        return String.valueOf(cause.getMessage()).lines().findFirst().orElse("it is empty");
    }

    /** A definition of entities has no place in GPX, and can be made to fill all memory. */
    private static void refuseDefinitions(String plain) {
        if (plain.contains("<!DOCTYPE") || plain.contains("<!ENTITY")) {
            throw new InvalidInput("gpx", "the file defines entities of its own; allowed is plain GPX");
        }
    }

    /** A mark of UTF-8 at its front is no part of XML. */
    private static byte[] withoutMark(byte[] file) {
        boolean marked = file.length > 2 && file[0] == (byte) 0xEF && file[1] == (byte) 0xBB && file[2] == (byte) 0xBF;
        return marked ? Arrays.copyOfRange(file, 3, file.length) : file;
    }

    /** The letters of a file in any of the usual encodings. */
    private static String plain(byte[] file) {
        return new String(file, StandardCharsets.ISO_8859_1).replace("\0", "").toUpperCase(Locale.ROOT);
    }

    private static StayPoint stay(WayPoint point) {
        Optional<Element> own = point.getExtensions().flatMap(GpxFile::own);
        OffsetDateTime arrived = own.map(e -> time(e, "arrived")).orElseGet(() -> point.getTime()
                .map(Instant::from)
                .map(t -> t.atOffset(ZoneOffset.UTC))
                .orElse(null));
        OffsetDateTime left = own.map(e -> time(e, "left")).orElse(null);
        return new StayPoint(
                point.getName().orElse(null),
                degrees(point.getLatitude().doubleValue()),
                degrees(point.getLongitude().doubleValue()),
                arrived,
                own.isPresent() ? left : arrived,
                own.isPresent() && left == null,
                own.isPresent() ? point.getDescription().orElse(null) : null,
                null);
    }

    /** Whole degrees have no decimals. */
    private static BigDecimal degrees(double value) {
        BigDecimal plain = BigDecimal.valueOf(value).stripTrailingZeros();
        return plain.scale() < 0 ? plain.setScale(0) : plain;
    }

    private static Optional<Element> own(Document extensions) {
        NodeList found = extensions.getElementsByTagNameNS(OWN, "stay");
        return found.getLength() == 0 ? Optional.empty() : Optional.of((Element) found.item(0));
    }

    @Nullable
    private static OffsetDateTime time(Element own, String name) {
        try {
            return own.hasAttribute(name) ? OffsetDateTime.parse(own.getAttribute(name)) : null;
        } catch (DateTimeParseException unread) {
            return null;
        }
    }
}

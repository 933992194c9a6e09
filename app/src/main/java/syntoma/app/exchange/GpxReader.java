package syntoma.app.exchange;

import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.temporal.TemporalAccessor;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/** Reads the waypoints of GPX, version 1.0 or 1.1, in one pass: nothing of the file is kept but what a stay needs. */
final class GpxReader {
    /** GPX itself is five deep; extensions of others a few more. */
    private static final int DEEPEST = 50;

    private static final int LONGEST_TEXT = 10_000;
    private static final DateTimeFormatter TIME = new DateTimeFormatterBuilder()
            .append(DateTimeFormatter.ISO_LOCAL_DATE_TIME)
            .optionalStart()
            .appendOffset("+HH:mm", "Z")
            .optionalEnd()
            .toFormatter(Locale.ROOT);

    private final XMLStreamReader xml;
    private final List<StayPoint> points = new ArrayList<>();
    private int unread;

    private GpxReader(XMLStreamReader xml) {
        this.xml = xml;
    }

    /**
     * Reads a file.
     *
     * @throws InvalidInputException when it is no GPX
     */
    static GpxFile.Waypoints read(byte[] file) {
        try {
            XMLStreamReader xml =
                    new PlainXml().xmlInputFactory().createXMLStreamReader(new ByteArrayInputStream(file));
            try {
                GpxReader reader = new GpxReader(xml);
                reader.root();
                return new GpxFile.Waypoints(reader.points, reader.unread);
            } finally {
                xml.close();
            }
        } catch (XMLStreamException unread) {
            int line = unread.getLocation() == null ? 0 : unread.getLocation().getLineNumber();
            throw refuse("the file is no GPX that can be read"
                    + (line > 0 ? "; it is no XML from line " + line + " on" : ""));
        }
    }

    private static InvalidInputException refuse(String why) {
        return new InvalidInputException("gpx", why);
    }

    private void root() throws XMLStreamException {
        while (xml.next() != XMLStreamConstants.START_ELEMENT) {
            if (xml.getEventType() == XMLStreamConstants.DTD) {
                throw refuse("the file defines entities of its own; allowed is plain GPX");
            }
        }
        if (!xml.getLocalName().equals("gpx")) {
            throw refuse("the file is " + Text.quote(xml.getLocalName()) + "; allowed is GPX");
        }
        eachChild(() -> {
            if (xml.getLocalName().equals("wpt")) {
                waypoint();
            } else {
                pass();
            }
        });
        // what stands behind the end must be XML too
        while (xml.hasNext()) {
            xml.next();
        }
    }

    /** Reads the element that was just begun, up to its end. */
    private interface Element {
        void read() throws XMLStreamException;
    }

    private void eachChild(Element child) throws XMLStreamException {
        while (true) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                return;
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                child.read();
            }
        }
    }

    /** Passes over an element with all that is in it. */
    private void pass() throws XMLStreamException {
        for (int depth = 1; depth > 0; ) {
            int event = xml.next();
            if (event == XMLStreamConstants.START_ELEMENT) {
                depth++;
                if (depth > DEEPEST) {
                    throw refuse("elements are nested more than " + DEEPEST + " deep in line "
                            + xml.getLocation().getLineNumber() + ", which is the most that is allowed");
                }
            } else if (event == XMLStreamConstants.END_ELEMENT) {
                depth--;
            }
        }
    }

    private String text() throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        for (int event = xml.next(); event != XMLStreamConstants.END_ELEMENT; event = xml.next()) {
            if (event == XMLStreamConstants.START_ELEMENT) {
                pass();
            } else if (xml.hasText() && event != XMLStreamConstants.COMMENT) {
                text.append(xml.getText());
                if (text.length() > LONGEST_TEXT) {
                    throw refuse("a text in line " + xml.getLocation().getLineNumber() + " has more than "
                            + LONGEST_TEXT + " characters, which is the most that is allowed");
                }
            }
        }
        return text.toString().strip();
    }

    private void waypoint() throws XMLStreamException {
        BigDecimal lat = degrees(xml.getAttributeValue(null, "lat"), 90);
        BigDecimal lon = degrees(xml.getAttributeValue(null, "lon"), 180);
        Parts parts = new Parts();
        eachChild(() -> {
            switch (xml.getLocalName()) {
                case "name" -> parts.name = text();
                case "desc" -> parts.desc = text();
                case "time" -> parts.time = time(text());
                case "extensions" ->
                    eachChild(() -> {
                        if (GpxFile.OWN.equals(xml.getNamespaceURI())
                                && xml.getLocalName().equals("stay")) {
                            parts.own = true;
                            parts.arrived = time(xml.getAttributeValue(null, "arrived"));
                            parts.left = time(xml.getAttributeValue(null, "left"));
                        }
                        pass();
                    });
                default -> pass();
            }
        });
        if (lat == null || lon == null) {
            unread++;
        } else {
            points.add(parts.at(lat, lon));
        }
    }

    /** What a waypoint says. */
    private static final class Parts {
        @Nullable
        private String name;

        @Nullable
        private String desc;

        @Nullable
        private OffsetDateTime time;

        private boolean own;

        @Nullable
        private OffsetDateTime arrived;

        @Nullable
        private OffsetDateTime left;

        private StayPoint at(BigDecimal lat, BigDecimal lon) {
            OffsetDateTime from = arrived == null ? time : arrived;
            return new StayPoint(
                    name == null || name.isEmpty() ? null : name,
                    lat,
                    lon,
                    from,
                    own ? left : from,
                    own && left == null,
                    own ? desc : null,
                    null);
        }
    }

    /** Degrees without needless zeros; null where there are none that exist. */
    @Nullable
    private static BigDecimal degrees(@Nullable String text, int most) {
        try {
            double value = text == null ? Double.NaN : Double.parseDouble(text.strip());
            if (!(Math.abs(value) <= most)) {
                return null;
            }
            BigDecimal plain = BigDecimal.valueOf(value).stripTrailingZeros();
            return plain.scale() < 0 ? plain.setScale(0) : plain;
        } catch (NumberFormatException none) {
            return null;
        }
    }

    /** A time; UTC where it names no zone, as GPX has it. */
    @Nullable
    private static OffsetDateTime time(@Nullable String text) {
        try {
            return Optional.ofNullable(text)
                    .map(t -> TIME.parseBest(t.strip(), OffsetDateTime::from, LocalDateTime::from))
                    .map(GpxReader::atOffset)
                    .orElse(null);
        } catch (DateTimeException unread) {
            return null;
        }
    }

    private static OffsetDateTime atOffset(TemporalAccessor time) {
        return time instanceof LocalDateTime local ? local.atOffset(ZoneOffset.UTC) : (OffsetDateTime) time;
    }
}

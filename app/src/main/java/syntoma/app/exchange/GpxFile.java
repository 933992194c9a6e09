package syntoma.app.exchange;

import io.jenetics.jpx.GPX;
import io.jenetics.jpx.Metadata;
import io.jenetics.jpx.WayPoint;
import java.io.IOException;
import java.io.OutputStream;
import java.time.format.DateTimeFormatter;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import syntoma.app.platform.InvalidInputException;

/**
 * Stays as waypoints of GPX 1.1. The time of a waypoint is the arrival; arrival and departure with their offsets stand in an
 * extension, since GPX knows no spans and no offsets.
 */
final class GpxFile {
    static final String OWN = "urn:syntoma:stay:1";
    private static final String CREATOR = "Syntoma";

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
     * The waypoints of a file.
     *
     * @param unread those without a place that there is
     */
    record Waypoints(List<StayPoint> points, int unread) {}

    /**
     * Reads the waypoints of a file.
     *
     * @throws InvalidInputException when it is no GPX
     */
    static Waypoints read(byte[] file) {
        return GpxReader.read(file);
    }
}

package syntoma.app.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.platform.GeoJson;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/**
 * Stays as features of GeoJSON. Properties: campsite, arrivedAt and leftAt with their offsets (leftAt null while the vehicle stands
 * there), surroundings.
 */
final class GeoJsonFile {
    private GeoJsonFile() {}

    static void write(List<StayPoint> stays, OutputStream out) throws IOException {
        GeoJson.write(
                stays.stream()
                        .map(stay -> new GeoJson.Feature(stay.lat(), stay.lon(), properties(stay)))
                        .toList(),
                out);
    }

    private static ObjectNode properties(StayPoint stay) {
        ObjectNode properties = GeoJson.properties().put("campsite", stay.campsite());
        if (stay.arrivedAt() != null) {
            properties.put("arrivedAt", format(stay.arrivedAt()));
            properties.put("leftAt", stay.leftAt() == null ? null : format(stay.leftAt()));
        }
        return properties.put("surroundings", stay.surroundings());
    }

    private static String format(OffsetDateTime at) {
        return DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(at);
    }

    /**
     * Reads the features of a file.
     *
     * @throws InvalidInputException when it is no GeoJSON
     */
    static List<StayPoint> read(byte[] file) {
        return GeoJson.read(file).stream().map(GeoJsonFile::stay).toList();
    }

    private static StayPoint stay(GeoJson.Feature feature) {
        OffsetDateTime arrived = time(feature, "arrivedAt", "time");
        boolean open = feature.properties().has("arrivedAt")
                && feature.properties().path("leftAt").isNull();
        OffsetDateTime left = time(feature, "leftAt");
        return new StayPoint(
                feature.text("campsite", "name", "title"),
                feature.lat(),
                feature.lon(),
                arrived,
                left == null && !open ? arrived : left,
                open,
                feature.text("surroundings"),
                feature.problem());
    }

    @Nullable
    private static OffsetDateTime time(GeoJson.Feature feature, String... names) {
        String text = feature.text(names);
        try {
            return text == null ? null : OffsetDateTime.parse(text);
        } catch (DateTimeParseException unread) {
            throw new InvalidInputException(
                    names[0],
                    names[0] + " is " + Text.quote(text) + "; allowed is a time with its offset, such as"
                            + " 2026-08-14T13:05:00+02:00");
        }
    }
}

package syntoma.app.platform;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.unit.Text;

/** Points as features of GeoJSON (RFC 7946); one without a place has no geometry. */
public final class GeoJson {
    /** Numbers keep their digits. */
    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
            .build();

    private GeoJson() {}

    /**
     * A feature.
     *
     * @param lat in degrees, as lon; null where it has no place
     * @param problem what is wrong with its geometry; null where it is a point or there is none
     */
    public record Feature(
            @Nullable BigDecimal lat, @Nullable BigDecimal lon, JsonNode properties, @Nullable String problem) {
        public Feature(@Nullable BigDecimal lat, @Nullable BigDecimal lon, JsonNode properties) {
            this(lat, lon, properties, null);
        }

        /** A property as a text, also where it is a number or a truth; null where none of some names is there. */
        @Nullable
        public String text(String... names) {
            for (String name : names) {
                if (properties.path(name).isValueNode()
                        && !properties.path(name).isNull()) {
                    return properties.path(name).asText();
                }
            }
            return null;
        }
    }

    /** Properties to be filled. */
    public static ObjectNode properties() {
        return JSON.createObjectNode();
    }

    /** Writes a collection of features. */
    public static void write(List<Feature> features, OutputStream out) throws IOException {
        ObjectNode root = JSON.createObjectNode().put("type", "FeatureCollection");
        ArrayNode all = root.putArray("features");
        features.forEach(f -> {
            ObjectNode feature = all.addObject().put("type", "Feature");
            if (f.lat == null || f.lon == null) {
                feature.putNull("geometry");
            } else {
                feature.putObject("geometry")
                        .put("type", "Point")
                        .putArray("coordinates")
                        .add(f.lon)
                        .add(f.lat);
            }
            feature.set("properties", f.properties);
        });
        JSON.writerWithDefaultPrettyPrinter().writeValue(out, root);
    }

    /**
     * Reads the features of a file.
     *
     * @throws InvalidInput when it is no GeoJSON
     */
    public static List<Feature> read(byte[] file) {
        JsonNode root;
        try {
            root = JSON.readTree(file);
        } catch (JacksonException unread) {
            throw new InvalidInput(
                    "geojson",
                    "the file is no JSON: " + Text.shortened(unread.getOriginalMessage())
                            + (unread.getLocation() == null
                                    ? ""
                                    : ", line " + unread.getLocation().getLineNr()));
        } catch (IOException impossible) {
            throw new IllegalStateException(impossible);
        }
        String type = root == null ? "" : root.path("type").asText();
        List<Feature> features = new ArrayList<>();
        if (type.equals("FeatureCollection") && root.path("features").isArray()) {
            root.path("features").forEach(f -> features.add(feature(f)));
        } else if (type.equals("Feature")) {
            features.add(feature(root));
        } else {
            throw new InvalidInput(
                    "geojson", "type is " + Text.quoted(type) + "; allowed is FeatureCollection or Feature");
        }
        return features;
    }

    private static Feature feature(JsonNode feature) {
        JsonNode geometry = feature.path("geometry");
        JsonNode at = geometry.path("coordinates");
        boolean placed = geometry.path("type").asText().equals("Point")
                && at.size() >= 2
                && at.get(0).isNumber()
                && at.get(1).isNumber();
        if (placed) {
            return new Feature(at.get(1).decimalValue(), at.get(0).decimalValue(), feature.path("properties"));
        }
        boolean none = geometry.isNull() || geometry.isMissingNode();
        return new Feature(
                null,
                null,
                feature.path("properties"),
                none
                        ? null
                        : "geometry is " + Text.quoted(geometry.path("type").asText())
                                + (geometry.path("type").asText().equals("Point") ? " without two numbers" : "")
                                + "; allowed is a Point with its longitude and latitude, or null");
    }
}

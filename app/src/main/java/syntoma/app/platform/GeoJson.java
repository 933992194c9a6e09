package syntoma.app.platform;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.unit.Text;

/** Points as features of GeoJSON (RFC 7946); one without a place has no geometry. */
public final class GeoJson {
    /** Numbers keep their digits. */
    private static final ObjectMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(50)
                            .maxNumberLength(100)
                            .maxStringLength(100_000)
                            .build())
                    .build())
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
     * Reads the features of a file in one pass; of each its point and its properties are kept.
     *
     * @throws InvalidInputException when it is no GeoJSON
     */
    public static List<Feature> read(byte[] file) {
        try (JsonParser json = JSON.getFactory().createParser(file)) {
            return new Reader(json).root();
        } catch (JacksonException unread) {
            throw new InvalidInputException(
                    "geojson",
                    "the file is no JSON that can be read"
                            + (unread.getLocation() == null
                                    ? ""
                                    : "; it breaks in line "
                                            + unread.getLocation().getLineNr()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static final class Reader {
        private final JsonParser json;
        private final List<Feature> features = new ArrayList<>();
        private boolean listed;

        private Reader(JsonParser json) {
            this.json = json;
        }

        private List<Feature> root() throws IOException {
            if (json.nextToken() != JsonToken.START_OBJECT) {
                throw new InvalidInputException(
                        "geojson", "the file is no JSON object; allowed is a FeatureCollection or a Feature");
            }
            Parts own = new Parts();
            each(name -> {
                if (name.equals("features") && json.currentToken() == JsonToken.START_ARRAY) {
                    listed = true;
                    while (json.nextToken() != JsonToken.END_ARRAY) {
                        features.add(feature());
                    }
                } else {
                    own.read(json, name);
                }
            });
            if (json.nextToken() != null) {
                throw new InvalidInputException("geojson", "something stands behind the end of the file's JSON object");
            }
            boolean collection = own.type.equals("FeatureCollection") && listed;
            if (!collection && !own.type.equals("Feature")) {
                throw new InvalidInputException(
                        "geojson",
                        "type is " + Text.quote(own.type) + "; allowed is FeatureCollection with features, or Feature");
            }
            return collection ? features : List.of(own.feature());
        }

        private Feature feature() throws IOException {
            Parts parts = new Parts();
            if (json.currentToken() == JsonToken.START_OBJECT) {
                each(name -> parts.read(json, name));
            } else {
                json.skipChildren();
            }
            return parts.feature();
        }

        private void each(Field field) throws IOException {
            eachField(json, field);
        }
    }

    /** Reads the value that the parser stands at, up to its end. */
    private interface Field {
        void read(String name) throws IOException;
    }

    private static void eachField(JsonParser json, Field field) throws IOException {
        while (json.nextToken() == JsonToken.FIELD_NAME) {
            String name = json.currentName();
            json.nextToken();
            field.read(name);
        }
    }

    /** What is kept of a feature while it is read. */
    private static final class Parts {
        private String type = "";
        private String geometry = "";
        private boolean placed;

        @Nullable
        private BigDecimal lat;

        @Nullable
        private BigDecimal lon;

        private final ObjectNode properties = JSON.createObjectNode();

        private void read(JsonParser json, String name) throws IOException {
            boolean object = json.currentToken() == JsonToken.START_OBJECT;
            if (name.equals("type") && json.currentToken() == JsonToken.VALUE_STRING) {
                type = json.getText();
            } else if (name.equals("geometry") && object) {
                placed = true;
                eachField(json, field -> geometry(json, field));
            } else if (name.equals("properties") && object) {
                eachField(json, field -> {
                    if (json.currentToken().isScalarValue()) {
                        properties.set(field, JSON.readTree(json));
                    } else {
                        json.skipChildren();
                    }
                });
            } else {
                json.skipChildren();
            }
        }

        private void geometry(JsonParser json, String name) throws IOException {
            if (name.equals("type") && json.currentToken() == JsonToken.VALUE_STRING) {
                geometry = json.getText();
            } else if (name.equals("coordinates") && json.currentToken() == JsonToken.START_ARRAY) {
                for (int place = 0; json.nextToken() != JsonToken.END_ARRAY; place++) {
                    BigDecimal number = json.currentToken().isNumeric() ? json.getDecimalValue() : null;
                    lon = place == 0 ? number : lon;
                    lat = place == 1 ? number : lat;
                    json.skipChildren();
                }
            } else {
                json.skipChildren();
            }
        }

        private Feature feature() {
            boolean point = geometry.equals("Point");
            if (point && lat != null && lon != null) {
                return new Feature(lat, lon, properties);
            }
            return new Feature(
                    null,
                    null,
                    properties,
                    placed
                            ? "geometry is " + Text.quote(geometry) + (point ? " without two numbers" : "")
                                    + "; allowed is a Point with its longitude and latitude, or null"
                            : null);
        }
    }
}

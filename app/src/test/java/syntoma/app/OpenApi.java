package syntoma.app;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.annotation.Annotation;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.lang.Nullable;
import syntoma.app.platform.SentenceJson;
import syntoma.core.reading.Figure;
import syntoma.core.sentence.Sentence;

/** The published description of the API: every field of an answer is always there, null only where it is marked so. */
@TestConfiguration
class OpenApi {
    static {
        SpringDocUtils.getConfig().replaceWithClass(Sentence.class, String.class);
    }

    @Bean
    OpenApiCustomizer described() {
        return api -> {
            api.info(new Info()
                    .title("Syntoma")
                    .version("1")
                    .description("Figures are metric. Sentences are metric too, or imperial for a call with the header "
                            + SentenceJson.HEADER + ": imperial."));
            api.servers(List.of());
            figures(api.getComponents().getSchemas());
            api.getComponents().getSchemas().forEach((name, raw) -> {
                Schema<?> schema = raw;
                anything(schema);
                if (!name.endsWith("Request") && schema.getProperties() != null) {
                    schema.setRequired(List.copyOf(schema.getProperties().keySet()));
                }
            });
        };
    }

    /** The fields of a measurement are those of the catalogue. */
    @SuppressWarnings("rawtypes") // as the library gives them
    private static void figures(Map<String, Schema> schemas) {
        Schema<?> logged = schemas.get("LoggedMeasurement");
        logged.getProperties().remove("numbers");
        Figure.numbers().forEach(f -> logged.addProperty(f.field(), new NumberSchema().nullable(true)));
        Schema<?> typed = schemas.get("MeasurementRequest");
        typed.setProperties(new LinkedHashMap<>());
        typed.setAdditionalProperties(null);
        Arrays.stream(Figure.values())
                .filter(f -> f != Figure.LAT && f != Figure.LON)
                .forEach(f -> typed.addProperty(f.field(), new StringSchema()));
    }

    /** Fields that may hold anything are said to, instead of to hold an object without fields. */
    private static void anything(Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.getProperties().values().forEach(property -> {
            if (property.getAdditionalProperties() instanceof Schema<?> value && "object".equals(value.getType())) {
                property.setAdditionalProperties(true);
            }
        });
    }

    /** A reference cannot say null beside itself in OpenAPI 3.0, so it is wrapped. */
    private static Schema<?> nullable(Schema<?> schema) {
        return schema.get$ref() == null
                ? schema.nullable(true)
                : new Schema<>().allOf(List.of(schema)).nullable(true);
    }

    @Bean
    ModelConverter nullables() {
        return new ModelConverter() {
            @Override
            public Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
                Annotation[] annotations = type.getCtxAnnotations();
                if (schema != null
                        && annotations != null
                        && Arrays.stream(annotations).anyMatch(a -> a instanceof Nullable)) {
                    return nullable(schema);
                }
                return schema;
            }
        };
    }
}

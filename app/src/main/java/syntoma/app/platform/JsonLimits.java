package syntoma.app.platform;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What JSON may hold beside its length: no field twice, no number of more than 40 digits, no nesting without end. */
@Configuration
class JsonLimits {
    private static final int MOST_DIGITS = 40;
    private static final int DEEPEST = 50;
    private static final int LONGEST_TEXT = 1_000_000;

    @Bean
    Jackson2ObjectMapperBuilderCustomizer limits() {
        return builder -> builder.factory(JsonFactory.builder()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .streamReadConstraints(StreamReadConstraints.builder()
                        .maxNumberLength(MOST_DIGITS)
                        .maxNestingDepth(DEEPEST)
                        .maxStringLength(LONGEST_TEXT)
                        .build())
                .build());
    }
}

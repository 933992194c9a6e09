package syntoma.app.platform;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import java.io.IOException;
import java.util.Optional;
import org.springframework.boot.jackson.JsonComponent;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import syntoma.core.sentence.Sentence;
import syntoma.core.sentence.UnitSystem;

/**
 * Writes the sentences of an answer in the units that its request asks for: metric, or imperial where the header
 * {@code Syntoma-Units} says so. Figures in an answer stay metric always.
 */
@JsonComponent
public class SentenceJson extends StdSerializer<Sentence> {
    /** The header by which a call says which units its sentences are to be in. */
    public static final String HEADER = "Syntoma-Units";

    private static final long serialVersionUID = 1;

    SentenceJson() {
        super(Sentence.class);
    }

    @Override
    public void serialize(Sentence sentence, JsonGenerator json, SerializerProvider provider) throws IOException {
        json.writeString(sentence.in(requestedUnits()));
    }

    private static UnitSystem requestedUnits() {
        return Optional.ofNullable(RequestContextHolder.getRequestAttributes())
                .filter(ServletRequestAttributes.class::isInstance)
                .map(call -> ((ServletRequestAttributes) call).getRequest().getHeader(HEADER))
                .map(UnitSystem::fromLabel)
                .orElse(UnitSystem.METRIC);
    }
}

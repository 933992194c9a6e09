package syntoma.app.rig;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Sheets and chains as they are stored. */
@Component
class Json {
    private final ObjectMapper mapper;

    Json(ObjectMapper mapper) {
        this.mapper = mapper;
    }

    String write(Object value) {
        try {
            return mapper.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    Map<String, Object> sheet(String text) {
        try {
            return mapper.readValue(text, new TypeReference<>() {});
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    ChainPlan plan(String text) {
        try {
            return mapper.readValue(text, ChainPlan.class);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}

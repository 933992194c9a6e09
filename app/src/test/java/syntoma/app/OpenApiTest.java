package syntoma.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/**
 * The committed description of the API is the one that the application gives. After a change of the API, run this test
 * with {@code -Dopenapi.write=true} and commit the file.
 */
@ApiTest
class OpenApiTest {
    private static final Path FILE = Path.of("openapi.json");

    @Autowired
    private MockMvc mvc;

    @Test
    void the_committed_description_is_current() throws Exception {
        ObjectMapper json = new ObjectMapper();
        JsonNode given = json.readTree(
                mvc.perform(get("/api/openapi.json")).andReturn().getResponse().getContentAsByteArray());
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(FILE, json.writerWithDefaultPrettyPrinter().writeValueAsString(given) + "\n");
        }
        assertEquals(json.readTree(FILE.toFile()), given);
    }
}

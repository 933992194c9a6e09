package syntoma.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;

/**
 * The committed description of the API, which the application serves as it is, is the one that its code gives. After a
 * change of the API, run this test with {@code -Dopenapi.write=true} and commit the file.
 */
@ApiTest
@Import(OpenApi.class)
@TestPropertySource(
        properties = {
            "springdoc.api-docs.enabled=true",
            "springdoc.api-docs.path=/described",
            "springdoc.api-docs.version=openapi_3_0",
            "springdoc.paths-to-match=/api/**",
            "springdoc.default-produces-media-type=application/json",
            "springdoc.writer-with-order-by-keys=true",
            "springdoc.default-flat-param-object=true"
        })
class OpenApiTest {
    private static final Path FILE = Path.of("openapi.json");

    @Autowired
    private MockMvc mvc;

    @Test
    void the_committed_description_is_current() throws Exception {
        ObjectMapper json = new ObjectMapper();
        JsonNode given = json.readTree(read("/described"));
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(FILE, json.writerWithDefaultPrettyPrinter().writeValueAsString(given) + "\n");
            return;
        }
        assertEquals(json.readTree(FILE.toFile()), given);
        assertEquals(given, json.readTree(read("/api/openapi.json")), "the one that is served");
    }

    private byte[] read(String uri) throws Exception {
        return mvc.perform(get(uri)).andReturn().getResponse().getContentAsByteArray();
    }
}

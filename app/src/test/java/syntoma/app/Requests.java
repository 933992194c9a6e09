package syntoma.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Asks the API and reads its answers. */
public record Requests(MockMvc mvc) {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** Status and body of an answer. */
    public record Answer(int status, String text) {
        public JsonNode json() {
            try {
                return JSON.readTree(text);
            } catch (java.io.IOException e) {
                throw new AssertionError(text, e);
            }
        }
    }

    public Answer ask(MockHttpServletRequestBuilder request) throws Exception {
        MockHttpServletResponse response = mvc.perform(request).andReturn().getResponse();
        return new Answer(response.getStatus(), response.getContentAsString(StandardCharsets.UTF_8));
    }

    public Answer read(String uri, Object... variables) throws Exception {
        return ask(get(uri, variables));
    }

    public Answer send(String uri, Object body) throws Exception {
        return ask(post(uri).contentType(MediaType.APPLICATION_JSON).content(JSON.writeValueAsString(body)));
    }

    public Answer put(String uri, Object body) throws Exception {
        return ask(MockMvcRequestBuilders.put(uri)
                .contentType(MediaType.APPLICATION_JSON)
                .content(JSON.writeValueAsString(body)));
    }

    /** A setup by its name, with all that is computed of it. */
    public JsonNode setup(String name) throws Exception {
        for (JsonNode row : read("/api/setups").json()) {
            if (row.get("name").asText().equals(name)) {
                return read("/api/setups/" + row.get("id").asInt()).json();
            }
        }
        throw new AssertionError(name);
    }

    /** A piece of gear by its name. */
    public JsonNode gear(String name) throws Exception {
        for (JsonNode item : read("/api/gear").json()) {
            if (item.get("name").asText().equals(name)) {
                return item;
            }
        }
        throw new AssertionError(name);
    }

    public Answer importCsv(byte[] file, boolean dryRun) throws Exception {
        return ask(post("/api/measurements/import?dryRun=" + dryRun)
                .contentType("text/csv")
                .content(file));
    }

    public Answer importCsv(String file) throws Exception {
        return importCsv(file.getBytes(StandardCharsets.UTF_8), false);
    }
}

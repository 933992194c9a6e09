package syntoma.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcBuilderCustomizer;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;

/** Requests of a test name the host as a browser does; their bodies are there at once, so that nothing comes by events. */
@TestConfiguration
class NamedHost {
    @Bean
    MockMvcBuilderCustomizer named() {
        return builder ->
                builder.defaultRequest(get("/").header("Host", "localhost").with(request -> {
                    request.setAsyncSupported(false);
                    return request;
                }));
    }
}

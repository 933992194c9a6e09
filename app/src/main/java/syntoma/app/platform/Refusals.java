package syntoma.app.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Refusals of the server itself, before any part of Syntoma has a say, as problem documents like all others. */
@Configuration
class Refusals {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> inOwnWords() {
        return factory -> factory.addContextCustomizers(
                context -> ((StandardHost) context.getParent()).setErrorReportValveClass(OwnWords.class.getName()));
    }

    private static String words(int status) {
        return switch (status) {
            case 404 -> "there is nothing at this address";
            case 405 -> "the method is not allowed here";
            case 408 -> "the request did not come in time";
            case 413 -> "the body is too large";
            case 414, 431 -> "the address or the headers are too long";
            case 500 -> "Something went wrong in Syntoma itself; nothing was changed. The log has the details.";
            case 501, 505 -> "the server does not know this method or version of HTTP";
            case 503 -> "Syntoma is starting, stopping or busy; try again in a moment";
            default -> "the request cannot be read as HTTP that is allowed here";
        };
    }

    /** What the server answers by itself. */
    public static final class OwnWords extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable thrown) {
            int status = response.getStatus();
            if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
                return;
            }
            try {
                Problem.write(response.getResponse(), status, words(status));
                response.finishResponse();
            } catch (IOException | IllegalStateException gone) {
                // nobody is there to hear it
            }
        }
    }

    /** Where the server sends errors that no part has answered. */
    @RestController
    @Hidden
    static class ErrorAddress implements ErrorController {
        @RequestMapping("/error")
        ResponseEntity<byte[]> error(HttpServletRequest request) {
            Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
            int status = code instanceof Integer known && known >= 400 ? known : 404;
            return ResponseEntity.status(status)
                    .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                    .body(Problem.body(status, words(status)));
        }
    }
}

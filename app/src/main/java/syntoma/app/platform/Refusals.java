package syntoma.app.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.ByteBuffer;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.handler.ErrorHandler;
import org.eclipse.jetty.util.Callback;
import org.springframework.boot.web.embedded.jetty.JettyServletWebServerFactory;
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
    WebServerFactoryCustomizer<JettyServletWebServerFactory> inOwnWords() {
        return factory -> factory.addServerCustomizers(server -> server.setErrorHandler(new OwnWords()));
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
    private static final class OwnWords extends ErrorHandler {
        @Override
        public boolean handle(Request request, Response response, Callback callback) {
            int status = Math.max(response.getStatus(), 400);
            response.setStatus(status);
            SafeHeaders.set(response.getHeaders()::put, SafeHeaders.NO_PAGE);
            response.getHeaders().put(HttpHeader.CONTENT_TYPE, MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.write(true, ByteBuffer.wrap(Problem.body(status, words(status))), callback);
            return true;
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

package syntoma.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import syntoma.core.sentence.UnitSystem;

/**
 * Refuses what is no well-formed request before anything asks it for a parameter: a query whose percent signs or bytes mean no text, a
 * body whose type is no type, and units that nobody knows. The server itself notices only when a part of Syntoma asks, which is too late for a plain answer.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
class WellFormedRequests extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> query = problemOfQuery(request.getQueryString());
        Optional<String> type = problemOfType(request.getHeader(HttpHeaders.CONTENT_TYPE));
        Optional<String> units = problemOfUnits(request.getHeader(SentenceJson.HEADER));
        if (query.isPresent() || units.isPresent()) {
            Problem.write(
                    response,
                    HttpServletResponse.SC_BAD_REQUEST,
                    query.or(() -> units).get());
        } else if (type.isPresent()) {
            Problem.write(response, HttpServletResponse.SC_UNSUPPORTED_MEDIA_TYPE, type.get());
        } else {
            chain.doFilter(request, response);
        }
    }

    static Optional<String> problemOfQuery(@Nullable String query) {
        if (query == null) {
            return Optional.empty();
        }
        ByteBuffer bytes = ByteBuffer.allocate(query.length() * 4);
        for (int i = 0; i < query.length(); i++) {
            char c = query.charAt(i);
            if (c != '%') {
                bytes.put(String.valueOf(c).getBytes(StandardCharsets.UTF_8));
                continue;
            }
            int value = i + 2 < query.length() ? hex(query.charAt(i + 1)) * 16 + hex(query.charAt(i + 2)) : -1;
            if (value < 0) {
                return Optional.of(
                        "the query has a % that no two hexadecimal digits follow; write a percent sign as %25");
            }
            bytes.put((byte) value);
            i += 2;
        }
        try {
            StandardCharsets.UTF_8.newDecoder().decode(bytes.flip());
            return Optional.empty();
        } catch (CharacterCodingException other) {
            return Optional.of("the query holds bytes that are no UTF-8");
        }
    }

    /** The value of a hexadecimal digit; so far below zero for another letter that no pair of them is positive. */
    private static int hex(char c) {
        int value = Character.digit(c, 16);
        return value < 0 || c > 'f' ? -1000 : value;
    }

    static Optional<String> problemOfType(@Nullable String type) {
        if (type == null || type.isBlank()) {
            return Optional.empty();
        }
        try {
            MediaType read = MediaType.parseMediaType(type);
            read.getCharset();
            return read.isConcrete() ? Optional.empty() : Optional.of(notAType());
        } catch (InvalidMediaTypeException | IllegalCharsetNameException | UnsupportedCharsetException unreadable) {
            return Optional.of(notAType());
        }
    }

    private static Optional<String> problemOfUnits(@Nullable String units) {
        try {
            if (units != null) {
                UnitSystem.fromLabel(units);
            }
            return Optional.empty();
        } catch (IllegalArgumentException unknown) {
            return Optional.of(unknown.getMessage());
        }
    }

    private static String notAType() {
        return "Content-Type names no type of a body; allowed is one such as application/json or text/csv;charset=UTF-8";
    }
}

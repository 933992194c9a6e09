package syntoma.app.platform;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import syntoma.core.unit.FieldProblem;

/** A problem document (RFC 9457), for refusals that come before or after the parts that answer requests. */
public final class Problem {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Set<Integer> INPUT = Set.of(400, 406, 411, 413, 414, 415, 416, 417, 422, 431);

    private Problem() {}

    /** Answers with a problem and the usual headers. */
    public static void write(HttpServletResponse response, int status, String detail) throws IOException {
        byte[] body = body(status, detail);
        response.setStatus(status);
        SafeHeaders.set(response, SafeHeaders.NO_PAGE);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }

    /** The document itself. */
    public static byte[] body(int status, String detail) {
        HttpStatus known = HttpStatus.resolve(status);
        Map<String, Object> problem = new LinkedHashMap<>();
        problem.put("type", "about:blank");
        // Spring knows 421 by the name it had in a draft
        problem.put("title", known == null || status == 421 ? "Misdirected Request" : known.getReasonPhrase());
        problem.put("status", status);
        problem.put("detail", detail);
        if (isOfInput(status)) {
            problem.put("errors", List.of(ofRequest(detail)));
        }
        try {
            return JSON.writeValueAsString(problem).getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Whether a status says that what was sent is at fault; then the problem says what of it. */
    static boolean isOfInput(int status) {
        return INPUT.contains(status);
    }

    /** A fault of the request as a whole. */
    static FieldProblem ofRequest(String detail) {
        return new FieldProblem("request", detail);
    }
}

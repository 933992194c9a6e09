package syntoma.standin.port;

import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.io.Content;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;

/** What a server is told in words, as the body of a request. */
public final class RequestBody {
    private RequestBody() {}

    /** Has it carried out: 204, or 400 with why not. */
    public static void carryOut(Request request, Response response, Callback callback, Consumer<String> words)
            throws Exception {
        try {
            words.accept(Content.Source.asString(request, StandardCharsets.UTF_8));
            response.setStatus(HttpStatus.NO_CONTENT_204);
            callback.succeeded();
        } catch (IllegalArgumentException refused) {
            Response.writeError(request, response, callback, HttpStatus.BAD_REQUEST_400, refused.getMessage());
        }
    }
}

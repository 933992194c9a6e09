package syntoma.standin.router;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import syntoma.core.unit.Text;
import syntoma.standin.WorldLink;
import syntoma.standin.port.LocalServer;
import syntoma.standin.port.RequestBody;

/**
 * A router that answers JSON: with its cells in a list at {@value #PATH}, flat at {@value #RADIO_PATH}. What its hands do is told
 * at {@value #HANDS_PATH}.
 */
public final class RouterServer {
    /** Where its status is. */
    public static final String PATH = "/status/signal";

    /** Where the same is in another layout. */
    public static final String RADIO_PATH = "/api/radio";

    /** Where it is told what to take in hand, in words ({@link Commands}). */
    public static final String HANDS_PATH = "/hands";

    private RouterServer() {}

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @throws Exception when the port is taken, or the address is none of this machine's
     */
    public static LocalServer start(String bind, int port, WorldLink link) throws Exception {
        return LocalServer.start(bind, port, new Page(link));
    }

    private static final class Page extends Handler.Abstract {
        private static final int LONGEST_COMMAND = 200;

        /** Elements of an answer of 10 MB. */
        private static final int HUGE = 5_000_000;

        private static final Duration SLOW = Duration.ofSeconds(30);

        private final WorldLink link;

        private Page(WorldLink link) {
            this.link = link;
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) throws Exception {
            String asked = request.getMethod() + " " + Request.getPathInContext(request);
            switch (asked) {
                case "GET " + PATH -> answer(request, response, StatusPage.SIGNAL, callback);
                case "GET " + RADIO_PATH -> answer(request, response, StatusPage.RADIO, callback);
                case "POST " + HANDS_PATH -> RequestBody.carryOut(request, response, callback, this::take);
                default -> {
                    return false;
                }
            }
            return true;
        }

        private void take(String words) {
            link.hold(Commands.carriedOut(link.hands(), Text.name("command", words, LONGEST_COMMAND)));
        }

        private void answer(Request request, Response response, StatusPage page, Callback callback) {
            String said = page.of(link).toString();
            response.getHeaders().put(HttpHeader.CONTENT_TYPE, "application/json");
            switch (link.faults().router()) {
                case NONE -> write(response, said, callback);
                case GARBAGE -> write(response, "<html>Signal: " + said.length(), callback);
                case SLOW -> request.getContext().execute(() -> slowly(response, said, callback));
                case HUGE -> write(response, "[" + "0,".repeat(HUGE) + "0]", callback);
                case ELSEWHERE -> Response.sendRedirect(request, response, callback, "http://192.0.2.1/");
                case LOCKED -> Response.writeError(request, response, callback, HttpStatus.UNAUTHORIZED_401);
                case HALF -> {
                    response.getHeaders().put(HttpHeader.CONTENT_LENGTH, said.length());
                    response.write(false, bytes(said.substring(0, said.length() / 2)), Callback.from(() -> {
                        request.getConnectionMetaData()
                                .getConnection()
                                .getEndPoint()
                                .close();
                        callback.succeeded();
                    }));
                }
                case IMPOSSIBLE -> write(response, said.replaceAll("-([0-9]{2,3}) dBm", "-9$1 dBm"), callback);
                case PLACEHOLDERS -> write(response, said.replaceAll("-([0-9]{2,3}) dBm", "-32768"), callback);
            }
        }

        private static void slowly(Response response, String said, Callback callback) {
            try {
                Thread.sleep(SLOW.toMillis());
                write(response, said, callback);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                callback.failed(stopped);
            }
        }

        private static void write(Response response, String said, Callback callback) {
            response.write(true, bytes(said), callback);
        }

        private static ByteBuffer bytes(String text) {
            return ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
        }
    }
}

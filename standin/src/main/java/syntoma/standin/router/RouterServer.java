package syntoma.standin.router;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.component.LifeCycle;
import syntoma.standin.WorldLink;

/** A router that answers JSON at {@value #PATH}. */
public final class RouterServer implements AutoCloseable {
    /** Where its status is. */
    public static final String PATH = "/status/signal";

    private final Server server = new Server();
    private final ServerConnector connector = new ServerConnector(server, 1, 1);

    private RouterServer(String bind, int port, WorldLink link) {
        connector.setHost(bind);
        connector.setPort(port);
        server.addConnector(connector);
        server.setHandler(new Page(link));
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @throws Exception when the port is taken, or the address is none of this machine's
     */
    public static RouterServer start(String bind, int port, WorldLink link) throws Exception {
        RouterServer made = new RouterServer(bind, port, link);
        made.server.start();
        return made;
    }

    public int port() {
        return connector.getLocalPort();
    }

    @Override
    public void close() {
        LifeCycle.stop(server);
    }

    private static final class Page extends Handler.Abstract {
        private final WorldLink link;

        private Page(WorldLink link) {
            this.link = link;
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) {
            if (!request.getMethod().equals("GET")
                    || !Request.getPathInContext(request).equals(PATH)) {
                return false;
            }
            response.getHeaders().put(HttpHeader.CONTENT_TYPE, "application/json");
            response.write(true, ByteBuffer.wrap(StatusPage.json(link).getBytes(StandardCharsets.UTF_8)), callback);
            return true;
        }
    }
}

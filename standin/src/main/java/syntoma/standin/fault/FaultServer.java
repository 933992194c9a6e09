package syntoma.standin.fault;

import java.nio.charset.StandardCharsets;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.io.Content;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.component.LifeCycle;

/** A port of its own at which faults are switched, by a POST of the words of {@link Faults#tell}. The demo opens none. */
public final class FaultServer implements AutoCloseable {
    private final Server server = new Server();
    private final ServerConnector connector = new ServerConnector(server, 1, 1);

    private FaultServer(Faults faults) {
        connector.setHost("127.0.0.1");
        server.addConnector(connector);
        server.setHandler(new Handler.Abstract() {
            @Override
            public boolean handle(Request request, Response response, Callback callback) throws Exception {
                if (!request.getMethod().equals("POST")) {
                    return false;
                }
                try {
                    faults.tell(Content.Source.asString(request, StandardCharsets.UTF_8));
                    response.setStatus(HttpStatus.NO_CONTENT_204);
                    callback.succeeded();
                } catch (IllegalArgumentException refused) {
                    Response.writeError(request, response, callback, HttpStatus.BAD_REQUEST_400, refused.getMessage());
                }
                return true;
            }
        });
    }

    /** Starts one on any port that is free, for this machine alone. */
    public static FaultServer start(Faults faults) throws Exception {
        FaultServer made = new FaultServer(faults);
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
}

package syntoma.standin.port;

import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.HttpConfiguration;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.util.component.LifeCycle;

/** A small HTTP server on one port. */
public final class LocalServer implements AutoCloseable {
    private final Server server = new Server();
    private final ServerConnector connector;

    private LocalServer(String bind, int port, Handler handler) {
        HttpConfiguration http = new HttpConfiguration();
        http.setSendServerVersion(false);
        http.setSendDateHeader(false);
        connector = new ServerConnector(server, 1, 1, new HttpConnectionFactory(http));
        connector.setHost(bind);
        connector.setPort(port);
        server.addConnector(connector);
        server.setHandler(handler);
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @throws Exception when the port is taken, or the address is none of this machine's
     */
    public static LocalServer start(String bind, int port, Handler handler) throws Exception {
        LocalServer made = new LocalServer(bind, port, handler);
        made.server.start();
        return made;
    }

    public int port() {
        return connector.getLocalPort();
    }

    /** Waits until it is stopped. */
    public void join() throws InterruptedException {
        server.join();
    }

    @Override
    public void close() {
        LifeCycle.stop(server);
    }
}

package syntoma.standin.speed;

import java.net.BindException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.eclipse.jetty.server.HttpConfiguration;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.util.component.LifeCycle;

/** A speed server on a socket of its own. */
public final class SpeedServer implements AutoCloseable {
    private final Server server = new Server();
    private final ServerConnector connector;
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(2, work -> {
        Thread thread = new Thread(work, "speed-clock");
        thread.setDaemon(true);
        return thread;
    });

    private SpeedServer(String bind, int port, String key, Limits limits, Link link) {
        HttpConfiguration http = new HttpConfiguration();
        http.setSendServerVersion(false);
        http.setSendDateHeader(false);
        connector = new ServerConnector(server, 1, 1, new HttpConnectionFactory(http));
        connector.setHost(bind);
        connector.setPort(port);
        server.addConnector(connector);
        server.setHandler(new SpeedHandler(key, limits, link, clock));
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @param key empty where none is asked for
     * @throws Exception when the port is taken, or the address is none of this machine's
     */
    public static SpeedServer start(String bind, int port, String key, Limits limits, Link link) throws Exception {
        SpeedServer made = new SpeedServer(bind, port, key, limits, link);
        made.server.start();
        return made;
    }

    public int port() {
        return connector.getLocalPort();
    }

    @Override
    public void close() {
        LifeCycle.stop(server);
        clock.shutdownNow();
    }

    /** {@code ./syntoma server}: runs until it is stopped. */
    public static void main(String[] args) {
        try {
            Options options = Options.of(args);
            SpeedServer server = start(options.bind(), options.port(), options.key(), Limits.USUAL, Link.REAL);
            Runtime.getRuntime().addShutdownHook(new Thread(server::close));
            System.out.println("The speed server is ready at http://" + options.bind() + ":" + server.port()
                    + (options.key().isEmpty() ? ", for this machine alone" : ", for those who have the key"));
            server.server.join();
        } catch (Exception refused) {
            boolean taken = refused.getCause() instanceof BindException;
            System.err.println("syntoma: the speed server does not start: " + refused.getMessage()
                    + (taken ? "; the port is taken, or the address is none of this machine’s" : ""));
            System.exit(1);
        }
    }
}

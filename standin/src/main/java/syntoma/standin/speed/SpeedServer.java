package syntoma.standin.speed;

import java.net.BindException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import syntoma.standin.port.LocalServer;

/** A speed server on a socket of its own. */
public final class SpeedServer implements AutoCloseable {
    private final ScheduledExecutorService clock = Executors.newScheduledThreadPool(2, work -> {
        Thread thread = new Thread(work, "speed-clock");
        thread.setDaemon(true);
        return thread;
    });
    private final LocalServer server;

    private SpeedServer(String bind, int port, String key, Limits limits, Link link) throws Exception {
        server = LocalServer.start(bind, port, new SpeedHandler(key, limits, link, clock));
    }

    /**
     * Starts one.
     *
     * @param port 0 for any that is free
     * @param key empty where none is asked for
     * @throws Exception when the port is taken, or the address is none of this machine's
     */
    public static SpeedServer start(String bind, int port, String key, Limits limits, Link link) throws Exception {
        return new SpeedServer(bind, port, key, limits, link);
    }

    public int port() {
        return server.port();
    }

    @Override
    public void close() {
        server.close();
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

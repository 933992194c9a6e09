package syntoma.app.access;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.StandardSocketOptions;
import java.nio.channels.ServerSocketChannel;
import java.nio.channels.SocketChannel;
import java.security.KeyStore;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.eclipse.jetty.http.HttpVersion;
import org.eclipse.jetty.io.EndPoint;
import org.eclipse.jetty.server.DetectorConnectionFactory;
import org.eclipse.jetty.server.HttpConnectionFactory;
import org.eclipse.jetty.server.SecureRequestCustomizer;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.ServerConnector;
import org.eclipse.jetty.server.SslConnectionFactory;
import org.eclipse.jetty.util.ssl.SslContextFactory;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * The one port, on which plain HTTP and TLS are told apart by the first byte. It listens on this machine alone; on addresses
 * of the vehicle's network it listens when it is told to, and their connections go to the same workers.
 */
@Component
class Door {
    private static final long AFTER_TROUBLE_MS = 100;
    private static final Logger LOG = LoggerFactory.getLogger(Door.class);

    private final SslContextFactory.Server tls = new SslContextFactory.Server();
    private final Map<InetAddress, ServerSocketChannel> listening = new ConcurrentHashMap<>();

    @Nullable
    private ServerConnector connector;

    /** Fits the server's connector out before it starts. */
    void fit(Server server) {
        connector = (ServerConnector) server.getConnectors()[0];
        connector
                .getConnectionFactory(HttpConnectionFactory.class)
                .getHttpConfiguration()
                .addCustomizer(new SecureRequestCustomizer(false));
        tls.setKeyStorePassword("");
        tls.setIncludeProtocols("TLSv1.3", "TLSv1.2");
        connector.addFirstConnectionFactory(
                new DetectorConnectionFactory(new SslConnectionFactory(tls, HttpVersion.HTTP_1_1.asString())));
    }

    int port() {
        return connector == null ? 0 : connector.getLocalPort();
    }

    /** Shows a certificate from now on; connections that stand go on with the one they began with. */
    void show(KeyStore certificate) throws Exception {
        if (connector != null) {
            tls.reload(context -> ((SslContextFactory.Server) context).setKeyStore(certificate));
        }
    }

    /** Listens on exactly these addresses, besides this machine's own. */
    void listenOn(Set<InetAddress> wanted) {
        for (InetAddress address : Set.copyOf(listening.keySet())) {
            if (!wanted.contains(address)) {
                close(address);
            }
        }
        for (InetAddress address : wanted) {
            if (connector != null && !listening.containsKey(address)) {
                open(connector, address);
            }
        }
    }

    private void open(ServerConnector to, InetAddress address) {
        try {
            ServerSocketChannel channel = ServerSocketChannel.open();
            try {
                channel.setOption(StandardSocketOptions.SO_REUSEADDR, true);
                channel.bind(new InetSocketAddress(address, port()));
            } catch (IOException e) {
                channel.close();
                throw e;
            }
            listening.put(address, channel);
            Thread thread = new Thread(() -> accept(to, channel), "door " + address.getHostAddress());
            thread.setDaemon(true);
            thread.start();
        } catch (IOException taken) {
            LOG.warn("not served at {}: {}", address.getHostAddress(), taken.getMessage());
        }
    }

    private static void accept(ServerConnector to, ServerSocketChannel channel) {
        while (channel.isOpen()) {
            try {
                SocketChannel caller = channel.accept();
                caller.configureBlocking(false);
                caller.setOption(StandardSocketOptions.TCP_NODELAY, true);
                to.getSelectorManager().accept(caller);
            } catch (IOException ended) {
                // the listening ended, or the caller did; where no more can be opened, trying at once again helps
                // nobody
                rest();
            }
        }
    }

    private static void rest() {
        try {
            Thread.sleep(AFTER_TROUBLE_MS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void close(InetAddress address) {
        try {
            listening.remove(address).close();
        } catch (IOException gone) {
            LOG.debug("closing {}", address, gone);
        }
        if (connector != null) {
            for (EndPoint end : connector.getConnectedEndPoints()) {
                if (end.getLocalSocketAddress() instanceof InetSocketAddress local
                        && local.getAddress().equals(address)) {
                    end.close();
                }
            }
        }
    }

    /** Where it listens now, besides this machine's own. */
    Set<InetAddress> listening() {
        return Set.copyOf(listening.keySet());
    }
}

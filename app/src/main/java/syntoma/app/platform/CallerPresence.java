package syntoma.app.platform;

import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletRequestWrapper;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.channels.SelectionKey;
import java.nio.channels.Selector;
import java.nio.channels.SocketChannel;
import java.util.function.BooleanSupplier;
import org.eclipse.jetty.ee10.servlet.ServletApiRequest;
import org.eclipse.jetty.io.EndPoint;
import org.eclipse.jetty.io.SocketChannelEndPoint;
import org.eclipse.jetty.io.ssl.SslConnection;

/**
 * Whether the one who sent a request has closed the connection while the answer is being worked on. The server itself notices that only
 * when it writes.
 */
public final class CallerPresence {
    private CallerPresence() {}

    /** Tells whether the sender of a request has left; never does for one that came in no way that can be looked at. */
    public static BooleanSupplier hasLeft(HttpServletRequest request) {
        ServletRequest bare = request;
        while (bare instanceof ServletRequestWrapper wrapper) {
            bare = wrapper.getRequest();
        }
        EndPoint end = bare instanceof ServletApiRequest served
                ? served.getRequest().getConnectionMetaData().getConnection().getEndPoint()
                : null;
        if (end instanceof SslConnection.SslEndPoint decrypted) {
            end = decrypted.getSslConnection().getEndPoint();
        }
        return end instanceof SocketChannelEndPoint socket && socket.getTransport() instanceof SocketChannel channel
                ? () -> isAtItsEnd(channel)
                : () -> false;
    }

    /** A connection with something to read and no byte in it is at its end. Nothing is taken from it. */
    private static boolean isAtItsEnd(SocketChannel channel) {
        try (Selector selector = Selector.open()) {
            channel.register(selector, SelectionKey.OP_READ);
            return selector.selectNow() > 0 && channel.socket().getInputStream().available() == 0;
        } catch (IOException | RuntimeException closed) {
            return !channel.isOpen();
        }
    }
}

package syntoma.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;

/** Whether what is talked of is this machine itself. */
public final class LocalMachine {
    private LocalMachine() {}

    /** Whether a request comes from this machine. */
    public static boolean isSender(HttpServletRequest request) {
        return is(request.getRemoteAddr());
    }

    /** Whether a host's name or address is this machine's own alone. */
    public static boolean is(String host) {
        try {
            return InetAddress.getByName(host).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            return false;
        }
    }
}

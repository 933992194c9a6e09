package syntoma.app.instrument;

import java.net.ConnectException;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpTimeoutException;
import java.nio.channels.UnresolvedAddressException;
import java.util.LinkedHashSet;
import java.util.Set;
import javax.net.ssl.SSLException;

/** What went wrong on the way to another machine, in words. */
final class ConnectionFault {
    private ConnectionFault() {}

    /** Says it; {@code what} is what the other machine is to a person. */
    static String describe(Throwable broken, URI at, String what) {
        // a chain of the JDK's client can bite its own tail
        Set<Throwable> causes = new LinkedHashSet<>();
        for (Throwable cause = broken; cause != null && causes.add(cause); cause = cause.getCause()) {}
        String address = at.getScheme() + "://" + at.getRawAuthority();
        if (has(causes, UnresolvedAddressException.class) || has(causes, UnknownHostException.class)) {
            return "no machine is known as " + at.getHost();
        }
        if (has(causes, HttpTimeoutException.class)) {
            return address + " did not answer in time";
        }
        if (has(causes, ConnectException.class)) {
            return "nothing answers at " + address;
        }
        if (has(causes, SSLException.class)) {
            return "the certificate of " + address + " is not one that this machine trusts";
        }
        return "the connection to " + what + " broke";
    }

    private static boolean has(Set<Throwable> causes, Class<? extends Throwable> kind) {
        return causes.stream().anyMatch(kind::isInstance);
    }
}

package syntoma.app.access;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.net.InetAddress;
import java.util.List;

/**
 * A network that this machine is on.
 *
 * @param interfaceName as the system calls the way to it, such as wlan0
 * @param prefix of its addresses, such as 192.168.8.0/24
 * @param router the hardware address of the router that it goes out by; empty where there is none, or it is not known
 * @param addresses this machine's own there
 */
record LocalNetwork(String interfaceName, String prefix, String router, @JsonIgnore List<InetAddress> addresses) {
    LocalNetwork {
        addresses = addresses == null ? List.of() : List.copyOf(addresses);
    }

    /**
     * Whether two are one network. Many routers give out the same addresses, so that the router tells them apart where it is known both
     * times.
     */
    boolean isSameAs(LocalNetwork other) {
        return interfaceName.equals(other.interfaceName)
                && prefix.equals(other.prefix)
                && (router.equals(other.router) || router.isEmpty() || other.router.isEmpty());
    }
}

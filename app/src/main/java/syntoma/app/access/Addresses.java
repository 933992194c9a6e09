package syntoma.app.access;

import java.net.Inet4Address;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * By what names and addresses this machine is found on the vehicle's own network. A line to a carrier (a modem plugged in) is
 * no such network, and an IPv6 address that the whole internet knows is none of its addresses.
 */
@Component
class Addresses {
    private static final int UNIQUE_LOCAL = 0xfc;
    private static final int UNIQUE_LOCAL_MASK = 0xfe;
    private static final Pattern NAME = Pattern.compile("[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?");

    /** The private addresses of this machine, those that people type first. */
    List<InetAddress> own() {
        try {
            return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
                    .filter(Addresses::isUp)
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(Addresses::isOfNetwork)
                    .sorted((a, b) -> Boolean.compare(b instanceof Inet4Address, a instanceof Inet4Address))
                    .toList();
        } catch (SocketException none) {
            return List.of();
        }
    }

    private static boolean isUp(NetworkInterface network) {
        try {
            return network.isUp() && !network.isLoopback() && !network.isPointToPoint();
        } catch (SocketException gone) {
            return false;
        }
    }

    private static boolean isOfNetwork(InetAddress address) {
        return address instanceof Inet4Address && !address.isLinkLocalAddress()
                || address instanceof Inet6Address && (address.getAddress()[0] & UNIQUE_LOCAL_MASK) == UNIQUE_LOCAL;
    }

    /** What this machine calls itself; empty when that is no name that a network could know. */
    Optional<String> name() {
        try {
            String name = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            String first = name.contains(".") ? name.substring(0, name.indexOf('.')) : name;
            return NAME.matcher(first).matches() && !first.equals("localhost") ? Optional.of(first) : Optional.empty();
        } catch (UnknownHostException unnamed) {
            return Optional.empty();
        }
    }

    /** An address as it stands in a link, with the brackets that IPv6 needs and without the name of its interface. */
    static String inLink(InetAddress address) {
        String text = address.getHostAddress();
        String bare = text.contains("%") ? text.substring(0, text.indexOf('%')) : text;
        return address instanceof Inet6Address ? "[" + bare + "]" : bare;
    }
}

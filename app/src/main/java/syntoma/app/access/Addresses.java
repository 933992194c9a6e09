package syntoma.app.access;

import java.io.UncheckedIOException;
import java.net.DatagramSocket;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.InterfaceAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import syntoma.core.access.AddressScope;

/**
 * By what names and addresses this machine is found on networks of its own. A line to a carrier (a modem plugged in) is no such network,
 * and neither is one whose addresses are known to the whole internet.
 */
@Component
class Addresses {
    private static final Pattern NAME = Pattern.compile("[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?");

    /** Any address elsewhere: no packet is sent to it, the system only says by which way it would go. */
    private static final InetSocketAddress ELSEWHERE = new InetSocketAddress("192.0.2.1", 9);

    /** The private networks that this machine is on, IPv4 before IPv6. */
    List<LocalNetwork> networks() {
        try {
            Map<String, String> routers = RouterTable.read();
            return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
                    .filter(Addresses::isUp)
                    .flatMap(network -> networks(network, routers.getOrDefault(network.getName(), "")))
                    .sorted(Comparator.comparing(network -> network.prefix().contains(":")))
                    .toList();
        } catch (SocketException none) {
            return List.of();
        }
    }

    private static Stream<LocalNetwork> networks(NetworkInterface network, String router) {
        Map<String, List<InetAddress>> byPrefix = new LinkedHashMap<>();
        for (InterfaceAddress own : network.getInterfaceAddresses()) {
            if (AddressScope.of(own.getAddress()) == AddressScope.PRIVATE) {
                byPrefix.computeIfAbsent(prefix(own), prefix -> new ArrayList<>())
                        .add(own.getAddress());
            }
        }
        return byPrefix.entrySet().stream()
                .map(found -> new LocalNetwork(network.getName(), found.getKey(), router, found.getValue()));
    }

    private static String prefix(InterfaceAddress own) {
        byte[] bytes = own.getAddress().getAddress();
        int length = own.getNetworkPrefixLength();
        for (int bit = length; bit < bytes.length * Byte.SIZE; bit++) {
            bytes[bit / Byte.SIZE] &= (byte) ~(0x80 >> bit % Byte.SIZE);
        }
        try {
            // the zeros at the end of an IPv6 network are written as ::, as people write them
            return InetAddress.getByAddress(bytes).getHostAddress().replaceFirst("(:0)+$", "::") + "/" + length;
        } catch (UnknownHostException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static boolean isUp(NetworkInterface network) {
        try {
            return network.isUp() && !network.isLoopback() && !network.isPointToPoint();
        } catch (SocketException gone) {
            return false;
        }
    }

    /** The address of this machine on the way to the internet; empty where there is no such way. */
    Optional<InetAddress> ofDefaultRoute() {
        try (DatagramSocket way = new DatagramSocket()) {
            way.connect(ELSEWHERE);
            return Optional.ofNullable(way.getLocalAddress()).filter(address -> !address.isAnyLocalAddress());
        } catch (SocketException | UncheckedIOException none) {
            return Optional.empty();
        }
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

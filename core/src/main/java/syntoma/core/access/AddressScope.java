package syntoma.core.access;

import java.net.Inet4Address;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.Set;

/**
 * How far an IP address reaches, by the registries of special-purpose addresses (IANA; RFC 6890, RFC 4193, RFC 6598). An IPv4 address
 * inside an IPv6 one (mapped, RFC 4291; translated, RFC 6052; 6to4, RFC 3056) counts as what it leads to.
 */
public enum AddressScope {
    /** This machine itself: 127.0.0.0/8, ::1. */
    LOOPBACK,

    /** One cable or one radio: 169.254.0.0/16, fe80::/10. */
    LINK_LOCAL,

    /** Where rented machines ask for their own secrets; no device of a vehicle is there. */
    METADATA,

    /** A network of one's own: 10/8, 172.16/12, 192.168/16, fc00::/7. */
    PRIVATE,

    /** Behind a carrier's address translation: 100.64.0.0/10. */
    CARRIER,

    /** No single machine: unspecified, broadcast, multicast, reserved. */
    NONE,

    /** The internet. */
    PUBLIC;

    private static final Set<String> METADATA_HOSTS =
            Set.of("169.254.169.254", "169.254.170.2", "100.100.100.200", "192.0.0.192", "fd00:ec2:0:0:0:0:0:254");

    private static final int IPV4_BYTES = 4;

    /** The scope of an address. */
    public static AddressScope of(InetAddress given) {
        InetAddress address = embedded(given);
        if (METADATA_HOSTS.contains(bare(address))) {
            return METADATA;
        }
        if (address.isLoopbackAddress()) {
            return LOOPBACK;
        }
        if (address.isLinkLocalAddress()) {
            return LINK_LOCAL;
        }
        if (address.isAnyLocalAddress() || address.isMulticastAddress()) {
            return NONE;
        }
        byte[] bytes = address.getAddress();
        return address instanceof Inet4Address ? ofIpv4(bytes[0] & 0xff, bytes[1] & 0xff) : ofIpv6(bytes[0] & 0xff);
    }

    private static AddressScope ofIpv4(int first, int second) {
        boolean own = first == 10 || first == 172 && second >> 4 == 1 || first == 192 && second == 168;
        if (own) {
            return PRIVATE;
        }
        if (first == 100 && second >> 6 == 1) {
            return CARRIER;
        }
        return first == 0 || first >= 240 ? NONE : PUBLIC;
    }

    private static AddressScope ofIpv6(int first) {
        return (first & 0xfe) == 0xfc ? PRIVATE : PUBLIC;
    }

    private static String bare(InetAddress address) {
        String text = address.getHostAddress();
        return text.contains("%") ? text.substring(0, text.indexOf('%')) : text;
    }

    private static InetAddress embedded(InetAddress address) {
        if (!(address instanceof Inet6Address)) {
            return address;
        }
        byte[] bytes = address.getAddress();
        boolean translated = startsWith(bytes, 0x00, 0x64, 0xff, 0x9b) && isZero(bytes, 4, 12);
        boolean mapped = isZero(bytes, 0, 10) && bytes[10] == -1 && bytes[11] == -1;
        boolean compatible = isZero(bytes, 0, 12) && !address.isLoopbackAddress() && !address.isAnyLocalAddress();
        if (translated || mapped || compatible) {
            return ipv4(bytes, bytes.length - IPV4_BYTES);
        }
        return startsWith(bytes, 0x20, 0x02) ? ipv4(bytes, 2) : address;
    }

    private static boolean startsWith(byte[] bytes, int... wanted) {
        for (int i = 0; i < wanted.length; i++) {
            if ((bytes[i] & 0xff) != wanted[i]) {
                return false;
            }
        }
        return true;
    }

    private static boolean isZero(byte[] bytes, int from, int to) {
        for (int i = from; i < to; i++) {
            if (bytes[i] != 0) {
                return false;
            }
        }
        return true;
    }

    private static InetAddress ipv4(byte[] bytes, int from) {
        try {
            return InetAddress.getByAddress(Arrays.copyOfRange(bytes, from, from + IPV4_BYTES));
        } catch (UnknownHostException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}

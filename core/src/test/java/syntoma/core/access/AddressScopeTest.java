package syntoma.core.access;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The edges of the ranges in the registries, and IPv4 in the clothes of IPv6. */
class AddressScopeTest {
    @ParameterizedTest
    @CsvSource({
        "127.0.0.1, LOOPBACK",
        "127.255.255.254, LOOPBACK",
        "::1, LOOPBACK",
        "::ffff:127.0.0.1, LOOPBACK",
        "64:ff9b::7f00:1, LOOPBACK",
        "2002:7f00:1::, LOOPBACK",
        "169.254.0.9, LINK_LOCAL",
        "fe80::1, LINK_LOCAL",
        "169.254.169.254, METADATA",
        "::ffff:169.254.169.254, METADATA",
        "fd00:ec2::254, METADATA",
        "100.100.100.200, METADATA",
        "10.0.0.1, PRIVATE",
        "172.16.0.1, PRIVATE",
        "172.31.255.255, PRIVATE",
        "172.32.0.1, PUBLIC",
        "172.15.0.1, PUBLIC",
        "192.168.8.1, PRIVATE",
        "192.169.0.1, PUBLIC",
        "fd12:3456::1, PRIVATE",
        "100.64.0.1, CARRIER",
        "100.128.0.1, PUBLIC",
        "192.0.2.2, PUBLIC",
        "203.0.113.9, PUBLIC",
        "2001:db8::1, PUBLIC",
        "0.0.0.0, NONE",
        "::, NONE",
        "224.0.0.1, NONE",
        "255.255.255.255, NONE"
    })
    void an_address_has_the_scope_of_its_range(String address, AddressScope scope) throws UnknownHostException {
        assertEquals(scope, AddressScope.of(InetAddress.getByName(address)));
    }
}

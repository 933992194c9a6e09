package syntoma.app.access;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyList;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import syntoma.app.store.StoreFiles;

/** Each network is confirmed once, by name; one that comes later is not served before somebody has said so. */
class NetworkTest {
    @TempDir
    private Path dir;

    private final List<LocalNetwork> up = new ArrayList<>();
    private final Addresses addresses = mock(Addresses.class);
    private final Door door = mock(Door.class);
    private KnownNetworks known;
    private Network network;
    private Set<InetAddress> listening = Set.of();

    @BeforeEach
    @SuppressWarnings("unchecked")
    void open() {
        Phrase phrase = mock(Phrase.class);
        when(phrase.isSet()).thenReturn(true);
        when(addresses.networks()).thenAnswer(asked -> List.copyOf(up));
        when(addresses.name()).thenReturn(Optional.empty());
        when(addresses.ofDefaultRoute()).thenReturn(Optional.empty());
        Certificates certificates = mock(Certificates.class);
        when(certificates.current(anyList())).thenReturn(mock(Certificates.ServedCertificate.class));
        org.mockito.Mockito.doAnswer(told -> listening = told.getArgument(0, Set.class))
                .when(door)
                .listenOn(any());
        known = new KnownNetworks(new SecretFiles(new StoreFiles(dir)));
        network = new Network(phrase, addresses, known, certificates, door);
    }

    private static LocalNetwork of(String name, String address, String router) throws UnknownHostException {
        String prefix = address.substring(0, address.lastIndexOf('.')) + ".0/24";
        return new LocalNetwork(name, prefix, router, List.of(InetAddress.getByName(address)));
    }

    private Set<String> served() {
        return Set.copyOf(listening.stream().map(InetAddress::getHostAddress).toList());
    }

    @Test
    void who_serves_for_the_first_time_means_the_networks_of_that_moment_and_no_later_one() throws Exception {
        up.add(of("wlan0", "192.168.8.10", "aa:bb"));
        network.serve();
        assertEquals(Set.of("192.168.8.10"), served());
        LocalNetwork tethered = of("usb0", "192.168.42.7", "cc:dd");
        up.add(tethered);
        network.serve();
        assertEquals(Set.of("192.168.8.10"), served());
        assertTrue(known.of(tethered).isEmpty());
        network.decide(tethered, true, "Phone of mine");
        assertEquals(Set.of("192.168.8.10", "192.168.42.7"), served());
        assertEquals("Phone of mine", known.of(tethered).orElseThrow().name());
        network.decide(tethered, false, null);
        assertEquals(Set.of("192.168.8.10"), served());
        assertEquals("Phone of mine", known.of(tethered).orElseThrow().name());
        network.forget(known.of(tethered).orElseThrow().id());
        assertTrue(known.of(tethered).isEmpty());
    }

    @Test
    void a_network_with_the_same_addresses_behind_another_router_is_another() throws Exception {
        LocalNetwork home = of("wlan0", "192.168.1.5", "aa:bb");
        up.add(home);
        network.serve();
        LocalNetwork campsite = of("wlan0", "192.168.1.77", "ee:ff");
        up.set(0, campsite);
        network.serve();
        assertEquals(Set.of(), served());
        assertFalse(home.isSameAs(campsite));
        // while the router has not been heard of it cannot be told from the known one
        assertTrue(home.isSameAs(of("wlan0", "192.168.1.5", "")));
    }

    @Test
    void the_code_names_the_way_out_where_that_is_served() throws Exception {
        up.add(of("veth1", "10.213.167.1", ""));
        up.add(of("wlan0", "192.168.8.10", "aa:bb"));
        network.serve();
        when(addresses.ofDefaultRoute()).thenReturn(Optional.of(InetAddress.getByName("192.168.8.10")));
        assertEquals(Optional.of("192.168.8.10"), network.mainHost());
        when(addresses.ofDefaultRoute()).thenReturn(Optional.of(InetAddress.getByName("192.0.2.2")));
        assertEquals(Optional.of("10.213.167.1"), network.mainHost());
    }

    @Test
    void the_routers_of_the_interfaces_are_read_as_the_system_writes_them() {
        List<String> routes = List.of(
                "Iface\tDestination\tGateway \tFlags",
                "wlan0\t00000000\t0108A8C0\t0003",
                "wlan0\t0008A8C0\t00000000\t0001");
        List<String> neighbours = List.of(
                "IP address       HW type     Flags       HW address            Mask     Device",
                "192.168.8.1      0x1         0x2         02:00:00:aa:bb:cc     *        wlan0",
                "192.168.8.1      0x1         0x2         02:00:00:dd:ee:ff     *        eth0");
        assertEquals(Map.of("wlan0", "02:00:00:aa:bb:cc"), RouterTable.read(routes, neighbours));
        assertEquals(Map.of(), RouterTable.read(routes, List.of()));
    }
}

package syntoma.app.access;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The routers by which this machine's networks go out, as Linux tells them; on other systems none is known. */
final class RouterTable {
    private static final Path ROUTES = Path.of("/proc/net/route");
    private static final Path NEIGHBOURS = Path.of("/proc/net/arp");
    private static final String NO_ADDRESS = "00:00:00:00:00:00";

    private RouterTable() {}

    /** The hardware address of each interface's router, where it has one and that was heard of. */
    static Map<String, String> read() {
        return read(lines(ROUTES), lines(NEIGHBOURS));
    }

    static Map<String, String> read(List<String> routes, List<String> neighbours) {
        Map<String, String> routers = new TreeMap<>();
        routes.stream()
                .map(line -> line.strip().split("\\s+"))
                .filter(route -> route.length > 2 && route[1].equals("00000000") && route[2].length() == 8)
                .forEach(route -> routers.putIfAbsent(route[0], hardware(route[0], address(route[2]), neighbours)));
        routers.values().removeIf(String::isEmpty);
        return routers;
    }

    /** Four bytes in hexadecimal, the last first. */
    private static String address(String reversed) {
        StringBuilder address = new StringBuilder();
        for (int i = 6; i >= 0; i -= 2) {
            address.append(Integer.parseInt(reversed.substring(i, i + 2), 16)).append(i > 0 ? "." : "");
        }
        return address.toString();
    }

    private static String hardware(String interfaceName, String address, List<String> neighbours) {
        return neighbours.stream()
                .map(line -> line.strip().split("\\s+"))
                .filter(entry -> entry.length > 5 && entry[0].equals(address) && entry[5].equals(interfaceName))
                .map(entry -> entry[3])
                .filter(found -> !found.equals(NO_ADDRESS))
                .findFirst()
                .orElse("");
    }

    private static List<String> lines(Path file) {
        try {
            return Files.readAllLines(file, StandardCharsets.US_ASCII);
        } catch (IOException otherSystem) {
            return List.of();
        }
    }
}

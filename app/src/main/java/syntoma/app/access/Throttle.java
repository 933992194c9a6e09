package syntoma.app.access;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import syntoma.core.access.Guesses;

/**
 * Slows who guesses the pass phrase: by device, by network and, against many networks at once, all together. Kept in a file, so that a
 * restart is no way around.
 */
@Component
class Throttle {
    static final String FILE = "guesses.json";

    private static final int FREE_OF_DEVICE = 10;
    private static final int FREE_OF_NETWORK = 20;
    private static final int FREE_OF_ALL = 100;

    /** Beyond so many sources the one heard of longest ago is forgotten. */
    private static final int MOST_SOURCES = 10_000;

    /** An IPv6 network gives a device as many addresses as it needs within these. */
    private static final int IPV6_NETWORK_BYTES = 8;

    private static final int IPV4_NETWORK_BYTES = 3;
    private static final ObjectMapper JSON =
            JsonMapper.builder().addModule(new JavaTimeModule()).build();

    private final SecretFiles files;
    private final WallClock clock;
    private final Map<String, Guesses> bySource = new LinkedHashMap<>();

    Throttle(SecretFiles files, WallClock clock) {
        this.files = files;
        this.clock = clock;
        files.read(FILE).ifPresent(this::load);
    }

    private void load(String text) {
        try {
            bySource.putAll(JSON.readValue(text, new TypeReference<Map<String, Guesses>>() {}));
        } catch (JsonProcessingException damaged) {
            // counting begins again
            bySource.clear();
        }
    }

    /** A source that guesses are counted for, and how many it has before it is slowed. */
    private record Source(String key, int free) {}

    /** How long a device has to wait; when not at all, its guess of the phrase is counted until it turns out right. */
    synchronized Duration waitForPhrase(String address) {
        return waitFor(sources(address));
    }

    /**
     * The same for the code of a pairing. It has 50 random bits and five minutes, so that the device alone is counted: guesses of others
     * must not keep a phone out that its owner is just letting in.
     */
    synchronized Duration waitForCode(String address) {
        return waitFor(List.of(device(address)));
    }

    private Duration waitFor(List<Source> sources) {
        Instant now = clock.now();
        Duration wait = sources.stream()
                .map(source -> bySource.getOrDefault(source.key, Guesses.NONE).waitAt(now, source.free))
                .max(Comparator.naturalOrder())
                .orElse(Duration.ZERO);
        if (wait.isZero()) {
            sources.forEach(source -> bySource.put(
                    source.key, bySource.getOrDefault(source.key, Guesses.NONE).andOne(now)));
            keep(now);
        }
        return wait;
    }

    /** The phrase or the code of a device was right: what it and its network have guessed is forgotten. */
    synchronized void right(String address) {
        boolean known = false;
        for (Source source : sources(address)) {
            known |= source.free < FREE_OF_ALL && bySource.remove(source.key) != null;
        }
        if (known) {
            keep(clock.now());
        }
    }

    /** Another phrase was set: what was guessed of the old one tells nothing of it. */
    synchronized void forgetAll() {
        bySource.clear();
        keep(clock.now());
    }

    private void keep(Instant now) {
        bySource.values().removeIf(guesses -> guesses.isForgotten(now));
        while (bySource.size() > MOST_SOURCES) {
            bySource.entrySet().stream()
                    .min(Comparator.comparing(entry -> entry.getValue().last()))
                    .ifPresent(oldest -> bySource.remove(oldest.getKey()));
        }
        try {
            files.write(FILE, JSON.writeValueAsString(bySource));
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static Source device(String address) {
        return new Source("device " + address, FREE_OF_DEVICE);
    }

    /** This machine itself is counted as a device alone: nobody on the network can lock it out. */
    private static List<Source> sources(String address) {
        try {
            InetAddress from = InetAddress.getByName(address);
            if (from.isLoopbackAddress()) {
                return List.of(device(address));
            }
            int bytes = from instanceof Inet6Address ? IPV6_NETWORK_BYTES : IPV4_NETWORK_BYTES;
            return List.of(
                    device(address),
                    new Source("network " + Arrays.toString(Arrays.copyOf(from.getAddress(), bytes)), FREE_OF_NETWORK),
                    new Source("all", FREE_OF_ALL));
        } catch (UnknownHostException noAddress) {
            return List.of(device(address), new Source("all", FREE_OF_ALL));
        }
    }
}

package syntoma.app.access;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.platform.NotFoundException;

/** The networks that a person has said something about: whether each is served. One that nobody has said anything about is not. */
@Component
class KnownNetworks {
    static final String FILE = "networks.json";
    private static final ObjectMapper JSON = new ObjectMapper();

    private final SecretFiles files;

    KnownNetworks(SecretFiles files) {
        this.files = files;
    }

    /**
     * A network and what was said of it.
     *
     * @param name as a person calls it
     */
    record NetworkDecision(String id, String name, LocalNetwork network, boolean served) {}

    synchronized List<NetworkDecision> all() {
        return files.read(FILE).map(KnownNetworks::parse).orElse(List.of());
    }

    private static List<NetworkDecision> parse(String text) {
        try {
            return List.of(JSON.readValue(text, NetworkDecision[].class));
        } catch (JsonProcessingException damaged) {
            // each is asked about again
            return List.of();
        }
    }

    Optional<NetworkDecision> of(LocalNetwork network) {
        return all().stream().filter(known -> known.network.isSameAs(network)).findFirst();
    }

    /** Notes whether a network is served; {@code name} null keeps what it is called. */
    synchronized void decide(LocalNetwork network, boolean served, @Nullable String name) {
        Optional<NetworkDecision> before = of(network);
        List<NetworkDecision> all = new ArrayList<>(all());
        before.ifPresent(all::remove);
        // a router that is known by now tells it from others from here on
        LocalNetwork precise = network.router().isEmpty() && before.isPresent() ? before.get().network : network;
        all.add(new NetworkDecision(
                before.map(NetworkDecision::id)
                        .orElseGet(() -> UUID.randomUUID().toString()),
                name != null ? name : before.map(NetworkDecision::name).orElse(usualName(network)),
                precise,
                served));
        write(all);
    }

    /** Forgets a network: it asks again the next time. */
    synchronized void forget(String id) {
        List<NetworkDecision> all = new ArrayList<>(all());
        if (!all.removeIf(known -> known.id.equals(id))) {
            throw new NotFoundException("no network that is known has this number");
        }
        write(all);
    }

    static String usualName(LocalNetwork network) {
        return network.interfaceName() + ", " + network.prefix();
    }

    private void write(List<NetworkDecision> all) {
        try {
            files.write(FILE, JSON.writeValueAsString(all));
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}

package syntoma.core.chain;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import syntoma.core.band.Band;
import syntoma.core.band.LinkShare;

/**
 * A router, hotspot, phone or modem as its data sheet has it. What the sheet does not say is empty.
 *
 * @param layers antenna streams per radio technology
 * @param ports empty when not stated; an empty list when it has none
 * @param takesAntennas whether outside antennas are possible at all
 * @param portSpacingMm between the middles of neighbouring ports
 * @param downMaxMbps the highest rate of its modem
 * @param aggregates how many carriers (component carriers) it puts together
 */
public record Device(
        String name,
        Optional<Set<String>> bands,
        Map<Band.Technology, Integer> layers,
        Optional<List<Port>> ports,
        Optional<Boolean> takesAntennas,
        OptionalDouble portSpacingMm,
        Optional<InternalAntennas> internal,
        Optional<SimSize> simSize,
        OptionalInt simSlots,
        OptionalInt modems,
        PowerInput power,
        OptionalDouble ethernetMbps,
        OptionalDouble downMaxMbps,
        OptionalInt aggregates,
        Set<String> features) {

    /** The share of a band that the device covers: all of it, or nothing. */
    public LinkShare share(Band band) {
        return bands.map(b -> LinkShare.both(name, b.contains(band.name()) ? 1 : 0))
                .orElseGet(() -> LinkShare.unknown(name));
    }

    /** The ports for a use; none where the ports are not stated. */
    public List<Port> ports(Use use) {
        return ports.orElse(List.of()).stream().filter(p -> p.use() == use).toList();
    }

    /** Streams it can use in a technology. */
    public OptionalInt layers(Band.Technology technology) {
        Integer known = layers.get(technology);
        return known == null ? OptionalInt.empty() : OptionalInt.of(known);
    }

    /** The most streams of any technology. */
    public OptionalInt mostLayers() {
        return layers.values().stream().mapToInt(n -> n).max();
    }
}

package syntoma.core.chain;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.LinkShare;

/**
 * A router, hotspot, phone or modem as its data sheet has it. What the sheet does not say is empty.
 *
 * @param bands its operating bands by name
 * @param layers antenna streams per radio technology
 * @param ports empty when not stated; an empty list when it has none
 * @param takesAntennas whether outside antennas are possible at all
 * @param ownAntennas whether it has cellular antennas of its own
 * @param portSpacingMm between the middles of neighbouring ports
 * @param esim whether it takes an eSIM beside its card slots
 * @param lockedTo the carrier whose cards alone it takes; empty text when it takes all
 * @param wifiMbps the highest rate of its Wi-Fi
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
        Optional<Boolean> ownAntennas,
        Optional<SimSize> simSize,
        OptionalInt simSlots,
        Optional<Boolean> esim,
        OptionalInt modems,
        Optional<String> lockedTo,
        PowerInput power,
        OptionalDouble ethernetMbps,
        OptionalDouble wifiMbps,
        OptionalDouble downMaxMbps,
        OptionalInt aggregates,
        Optional<Set<Feature>> features) {

    /**
     * The share of a band that the device covers: all of it, or nothing. A band that lies inside another one which is
     * listed (n78 inside n77) may be covered with it or not, so that is unknown.
     */
    public LinkShare share(Band band) {
        if (bands.isEmpty()) {
            return LinkShare.unknown(name);
        }
        if (bands.get().contains(band.name())) {
            return LinkShare.both(name, 1);
        }
        return bands.get().stream()
                .sorted()
                .filter(listed -> Bands.of(listed).encloses(band))
                .findFirst()
                .map(listed -> LinkShare.unknown(
                        name,
                        "it lists " + listed + ", which holds " + band.name() + ": ask whether it takes that one"))
                .orElseGet(() -> LinkShare.both(name, 0));
    }

    /** Whether it has a band of a technology; empty when its bands are not stated. */
    public Optional<Boolean> speaks(Band.Technology technology) {
        return bands.map(b -> b.stream().anyMatch(name -> Bands.of(name).rat() == technology));
    }

    /** Whether it can do something beside carrying data; empty when its sheet does not say. */
    public Optional<Boolean> can(Feature feature) {
        return features.map(f -> f.contains(feature));
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

    /** Whether the sheet states its antenna ports, or that it has none. */
    public boolean statesPorts() {
        return ports.isPresent() || takesAntennas.isPresent() && !takesAntennas.get();
    }
}

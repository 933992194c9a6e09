package syntoma.core.chain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import syntoma.core.band.Band;
import syntoma.core.band.LinkShare;

/**
 * A setup's signal chain: from the air over antennas, cables and adapters, through a booster if any, to the device.
 *
 * @param plugging how the leads are or will be plugged, where that is stated; else it is proposed
 * @param settings of the device
 * @param devicePlacement where the device itself is
 */
public record Chain(
        Vehicle vehicle,
        Optional<Device> device,
        Placement devicePlacement,
        Optional<Booster> booster,
        List<AntennaRun> antennas,
        List<Adapter> adapters,
        List<Sim> sims,
        Plugging plugging,
        Settings settings) {

    /**
     * @throws IllegalArgumentException when two antennas have the same name: the same part twice would make the signal run
     *     in a circle
     */
    public Chain {
        Set<String> seen = new HashSet<>();
        for (AntennaRun run : antennas) {
            for (String part : parts(run)) {
                if (!seen.add(part)) {
                    throw new IllegalArgumentException(part
                            + " is in the chain twice, so that the signal would run in a circle; a part can be in a"
                            + " chain once");
                }
            }
        }
    }

    private static List<String> parts(AntennaRun run) {
        List<String> parts = new ArrayList<>();
        parts.add(run.antenna().name());
        run.extension().forEach(cable -> parts.add(cable.name()));
        return parts;
    }

    /** The parts in the order of the signal, from the device outward, as one line. */
    public String summary() {
        List<String> parts = new ArrayList<>();
        device.ifPresent(d -> parts.add(d.name()));
        booster.ifPresent(b -> parts.add(b.name()));
        antennas.forEach(run -> parts.addAll(parts(run)));
        return String.join(" + ", parts);
    }

    /** Whether it draws on a cellular network. */
    public boolean isCellular() {
        return settings.source() == Source.CELLULAR;
    }

    /** Whether some antenna's sheet does not state its leads. */
    public boolean hasOpenLeads() {
        return antennas.stream().anyMatch(run -> run.antenna().leads().isEmpty());
    }

    /** Whether what the leads go to is stated: the booster's connector where there is one, else the device's ports. */
    public boolean hasStatedPorts() {
        return booster.isPresent()
                ? booster.get().donor().isPresent()
                : device.map(Device::statesPorts).orElse(false);
    }

    /** The leads of all antennas, those for cellular first. */
    public List<WiredLead> leads() {
        return Arrays.stream(Use.values()).flatMap(use -> leads(use).stream()).toList();
    }

    /** The leads of all antennas for a use, in order. */
    public List<WiredLead> leads(Use use) {
        return antennas.stream()
                .flatMap(run -> run.antenna().leads(use).stream().map(lead -> new WiredLead(run, lead)))
                .toList();
    }

    /** The ports that outside antennas go to: the booster's donor side where there is one, else the device's. */
    public List<Port> ports() {
        if (booster.isPresent()) {
            return booster.get().donor().stream()
                    .map(c -> new Port("donor", Use.CELLULAR, c, true))
                    .toList();
        }
        return device.flatMap(Device::ports).orElse(List.of());
    }

    /** A lead with the run it belongs to. */
    public record WiredLead(AntennaRun run, Lead lead) {
        /** What it is known by, whatever its antenna's name becomes. */
        public String key() {
            return run.key() + "/" + lead.label();
        }

        /** Its label, unique within the chain. */
        public String label() {
            return run.antenna().name() + " " + lead.label();
        }

        public Connector end() {
            return run.end(lead);
        }

        /** The share of a band that its element passes. */
        public LinkShare share(Band band) {
            return run.antenna().share(lead, band);
        }

        /** Gain of its element in dBi at a frequency in MHz; empty where its sheet does not say. */
        public OptionalDouble gainDbi(double mhz) {
            return run.antenna().gainDbi(lead, mhz);
        }
    }
}

package syntoma.core.chain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/** Devices and antennas with one thing changed. */
public final class Changed {
    private Changed() {}

    public static Device ports(Device d, Port... ports) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                Optional.of(List.of(ports)),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device unknownPorts(Device d) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                Optional.empty(),
                Optional.empty(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device closed(Device d) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                Optional.empty(),
                Optional.of(false),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device spaced(Device d, double mm) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                OptionalDouble.of(mm),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device internal(Device d, InternalAntennas own) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                Optional.of(own),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device bands(Device d, String... bands) {
        return new Device(
                d.name(),
                bands.length == 0 ? Optional.empty() : Optional.of(Set.of(bands)),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device slot(Device d, SimSize size) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                Optional.of(size),
                d.simSlots(),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device twoSlots(Device d) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                OptionalInt.of(2),
                d.modems(),
                d.power(),
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device power(Device d, PowerInput power) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                power,
                d.ethernetMbps(),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Device ethernet(Device d, double mbps) {
        return new Device(
                d.name(),
                d.bands(),
                d.layers(),
                d.ports(),
                d.takesAntennas(),
                d.portSpacingMm(),
                d.internal(),
                d.simSize(),
                d.simSlots(),
                d.modems(),
                d.power(),
                OptionalDouble.of(mbps),
                d.downMaxMbps(),
                d.aggregates(),
                d.features());
    }

    public static Antenna plane(Antenna a, double cm2) {
        return new Antenna(
                a.name(),
                a.directional(),
                a.beamDeg(),
                a.ranges(),
                a.leads(),
                OptionalDouble.of(cm2),
                a.heightM(),
                a.magnetic());
    }

    public static Antenna magnet(Antenna a) {
        return new Antenna(
                a.name(), a.directional(), a.beamDeg(), a.ranges(), a.leads(), a.groundPlaneCm2(), a.heightM(), true);
    }

    public static Antenna aimed(Antenna a, double degrees) {
        return new Antenna(
                a.name(),
                true,
                OptionalDouble.of(degrees),
                a.ranges(),
                a.leads(),
                a.groundPlaneCm2(),
                a.heightM(),
                a.magnetic());
    }
}

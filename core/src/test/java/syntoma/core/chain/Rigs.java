package syntoma.core.chain;

import static syntoma.core.chain.Changed.with;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import syntoma.core.band.Band;
import syntoma.core.band.Span;

/** Parts of made-up rigs, sound in all that is not said otherwise. */
public final class Rigs {
    private Rigs() {}

    public static Vehicle van(Shell shell) {
        return new Vehicle("Heron", shell, 2.86, 4, 200, 12.8);
    }

    public static GainRange range(double from, double to, double fromDbi, double toDbi) {
        return new GainRange(new Span(from, to), OptionalDouble.of(fromDbi), OptionalDouble.of(toDbi));
    }

    public static Lead lead(String label, String connector) {
        return lead(label, Use.CELLULAR, connector);
    }

    public static Lead lead(String label, Use use, String connector) {
        return new Lead(
                label,
                use,
                Optional.of(CableClass.of("240-class")),
                OptionalDouble.of(2),
                Connector.of(connector),
                List.of());
    }

    public static Lead lead(String label, String connector, double lengthM) {
        return new Lead(
                label,
                Use.CELLULAR,
                Optional.of(CableClass.of("240-class")),
                OptionalDouble.of(lengthM),
                Connector.of(connector),
                List.of());
    }

    public static Antenna antenna(String name, List<GainRange> ranges, Lead... leads) {
        return new Antenna(
                name,
                false,
                OptionalDouble.empty(),
                ranges,
                List.of(leads),
                OptionalDouble.of(0),
                OptionalDouble.of(0.1),
                false,
                Optional.empty());
    }

    /** An antenna for all bands with so many SMA leads. */
    public static Antenna wide(String name, int leads) {
        return antenna(
                name,
                List.of(range(600, 6000, 5, 6)),
                IntStream.rangeClosed(1, leads)
                        .mapToObj(i -> lead("" + i, "SMA-male"))
                        .toArray(Lead[]::new));
    }

    public static AntennaRun onRoof(Antenna antenna) {
        return run(antenna, List.of(), Placement.ROOF, 0);
    }

    /** A run that is known by the name of its antenna. */
    public static AntennaRun run(Antenna antenna, List<Cable> extension, Placement placement, double mastM) {
        return new AntennaRun(antenna.name(), antenna, extension, Map.of(), placement, mastM, OptionalDouble.empty());
    }

    public static PowerInput volts(double low, double high) {
        return new PowerInput(
                false,
                Set.of(),
                OptionalDouble.of(low),
                OptionalDouble.of(high),
                OptionalDouble.empty(),
                OptionalDouble.of(8),
                OptionalDouble.empty());
    }

    public static Device device(String name, int layers, Port... ports) {
        return new Device(
                name,
                Optional.of(Set.of("B3", "B7", "B8", "B20", "B28", "n78")),
                Map.of(Band.Technology.LTE, layers, Band.Technology.NR, layers),
                Optional.of(List.of(ports)),
                Optional.of(true),
                OptionalDouble.of(20),
                Optional.of(InternalAntennas.SWITCH_BY_THEMSELVES),
                Optional.of(true),
                Optional.of(SimSize.NANO),
                OptionalInt.of(1),
                Optional.of(false),
                OptionalInt.of(1),
                Optional.empty(),
                volts(9, 30),
                OptionalDouble.of(1000),
                OptionalDouble.of(1200),
                OptionalDouble.of(600),
                OptionalInt.of(2),
                Optional.empty());
    }

    /** A router with so many cellular SMA ports, the first the main one. */
    public static Device router(int ports) {
        return device(
                "Curlew",
                ports,
                IntStream.rangeClosed(1, ports)
                        .mapToObj(i -> new Port("M" + i, Use.CELLULAR, Connector.of("SMA-female"), i == 1))
                        .toArray(Port[]::new));
    }

    public static Booster booster(List<Span> uplink, List<Span> downlink) {
        return new Booster(
                "Bittern",
                uplink,
                downlink,
                Optional.of(false),
                OptionalDouble.of(65),
                OptionalDouble.of(10),
                Optional.of(Connector.of("SMA-female")),
                volts(9, 16));
    }

    public static Chain chain(Device device, AntennaRun... antennas) {
        return new Chain(
                van(Shell.STEEL),
                Optional.ofNullable(device),
                Placement.INSIDE,
                Optional.empty(),
                List.of(antennas),
                List.of(),
                List.of(),
                Plugging.NONE,
                Settings.USUAL);
    }

    public static Sim card(String name, String carrier, SimSize size) {
        return new Sim(name, carrier, Optional.ofNullable(size), OptionalDouble.empty(), OptionalDouble.empty());
    }

    public static Chain withPlacement(Chain c, Placement placement) {
        return with(c, "devicePlacement", placement);
    }

    public static Chain withBooster(Chain c, Booster booster) {
        return with(c, "booster", Optional.of(booster));
    }

    public static Chain withAdapters(Chain c, Adapter... adapters) {
        return with(c, "adapters", List.of(adapters));
    }

    public static Chain withSims(Chain c, Sim... sims) {
        return with(c, "sims", List.of(sims));
    }

    public static Chain withPlugging(Chain c, Map<String, String> ports) {
        return with(c, "plugging", new Plugging(ports));
    }

    public static Chain withSettings(Chain c, RadioMode mode, String... bands) {
        return with(c, "settings", new Settings(mode, List.of(bands), Source.CELLULAR));
    }

    public static Chain from(Chain c, Source source) {
        return with(c, "settings", new Settings(RadioMode.AUTOMATIC, List.of(), source));
    }

    public static Chain in(Chain c, Shell shell) {
        return with(c, "vehicle", van(shell));
    }

    public static Chain onBattery(Chain c, double volts) {
        return with(c, "vehicle", with(c.vehicle(), "batteryV", volts));
    }

    public static Chain withSpacing(Chain c, double mm) {
        return with(c, "device", c.device().map(d -> Changed.spaced(d, mm)));
    }
}

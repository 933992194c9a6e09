package syntoma.app.gear;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import syntoma.core.band.Band;
import syntoma.core.band.Span;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.Booster;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Device;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Feed;
import syntoma.core.chain.GainRange;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.IpRating;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Port;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Sim;
import syntoma.core.chain.SimSize;
import syntoma.core.chain.Use;
import syntoma.core.chain.WifiGeneration;
import syntoma.core.unit.Text;

/** Builds the core's parts from gear. Each refuses what cannot be with an IllegalArgumentException that says why. */
public final class Parts {
    private Parts() {}

    /** Builds the part that a piece of gear is, to see that it can be built. */
    static void check(GearItem item) {
        switch (item.is()) {
            case DEVICE -> device(item);
            case ANTENNA -> antenna(item);
            case CABLE -> cable(item);
            case ADAPTER -> adapter(item);
            case BOOSTER -> booster(item);
            case SIM -> sim(item);
            case MOUNT -> {
                // nothing of it enters a computation
            }
        }
    }

    public static Device device(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        Map<Band.Technology, Integer> layers = new EnumMap<>(Band.Technology.class);
        s.integer("layersLte").ifPresent(n -> layers.put(Band.Technology.LTE, n));
        s.integer("layersNr").ifPresent(n -> layers.put(Band.Technology.NR, n));
        Optional<Boolean> takes = s.yes("takesAntennas");
        Optional<List<Port>> ports = s.rows("ports")
                .map(rows -> mapped(rows, Parts::port))
                .filter(all -> s.rows("ports").orElseThrow().stream().allMatch(Parts::statesUse));
        if (ports.isPresent()) {
            unique("port", ports.get().stream().map(Port::label).toList());
        } else if (takes.isPresent() && !takes.get()) {
            ports = Optional.of(List.of());
        }
        return new Device(
                item.name(),
                s.list("bands").map(Set::copyOf),
                layers,
                ports,
                takes,
                s.number("portSpacingMm"),
                s.text("internal").map(InternalAntennas::fromLabel),
                ownAntennas(s, ports),
                s.text("simSize").map(SimSize::fromLabel),
                s.integer("simSlots"),
                s.yes("esim"),
                s.integer("modems"),
                s.text("lockedTo"),
                power(s),
                s.number("ethernetMbps"),
                wifiMbps(s),
                s.number("downMaxMbps"),
                s.integer("aggregates"),
                s.list("features").map(f -> f.stream().map(Feature::fromLabel).collect(Collectors.toSet())));
    }

    /** A device to which no antenna goes has its own, and so has one that is held in the hand. */
    private static Optional<Boolean> ownAntennas(Sheet s, Optional<List<Port>> ports) {
        Optional<Boolean> stated =
                s.text("internal").map(InternalAntennas::fromLabel).map(i -> i != InternalAntennas.NONE);
        boolean alone = ports.map(List::isEmpty).orElse(false);
        boolean inHand = s.text("type")
                .map(t -> t.equals("hotspot") || t.equals("phone"))
                .orElse(false);
        return stated.isPresent() || !(alone || inHand) ? stated : Optional.of(true);
    }

    private static OptionalDouble wifiMbps(Sheet s) {
        OptionalDouble stated = s.number("wifiMbps");
        return stated.isPresent()
                ? stated
                : s.text("wifi").map(WifiGeneration::mostMbps).orElse(OptionalDouble.empty());
    }

    public static Antenna antenna(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        List<Sheet> rows = s.rows("leads").orElse(List.of());
        List<Lead> all = mapped(rows, Parts::lead);
        unique("lead", all.stream().map(Lead::label).toList());
        List<Lead> leads = rows.stream().allMatch(Parts::statesUse) ? all : List.of();
        return new Antenna(
                item.name(),
                s.text("pattern").map("one direction"::equals).orElse(false),
                s.number("beamDeg"),
                mapped(
                        s.rows("ranges").orElse(List.of()),
                        row -> new GainRange(span(row), row.number("fromDbi"), row.number("toDbi"))),
                leads,
                s.number("groundPlaneCm2"),
                s.number("heightM"),
                s.text("mounting").map("magnet"::equals).orElse(false),
                s.text("weatherRating").map(IpRating::of));
    }

    /** The hole that an antenna's maker states, in mm. */
    public static OptionalDouble holeMm(GearItem antenna) {
        return new Sheet(antenna.sheet()).number("holeMm");
    }

    public static Cable cable(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        return new Cable(
                item.name(),
                CableClass.of(require(s.text("cableClass"), "class")),
                require(s.number("lengthM"), "length"),
                Connector.of(require(s.text("first"), "one end")),
                Connector.of(require(s.text("second"), "other end")));
    }

    public static Adapter adapter(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        return new Adapter(
                item.name(),
                Connector.of(require(s.text("first"), "one end")),
                Connector.of(require(s.text("second"), "other end")),
                s.text("form").map("rigid"::equals).orElse(false),
                s.number("lossDb"),
                item.price() == null ? OptionalDouble.empty() : OptionalDouble.of(item.price()));
    }

    public static Booster booster(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        return new Booster(
                item.name(),
                mapped(s.rows("uplink").orElse(List.of()), Parts::span),
                mapped(s.rows("downlink").orElse(List.of()), Parts::span),
                s.yes("tdd"),
                s.number("gainDb"),
                s.number("ratedOutputDbm"),
                s.text("donor").map(Connector::of),
                power(s));
    }

    /** How far a mount or a mast raises an antenna, in m; 0 where its sheet does not say. */
    public static double raisesM(GearItem item) {
        return new Sheet(item.sheet()).number("heightM").orElse(0);
    }

    public static Sim sim(GearItem item) {
        Sheet s = new Sheet(item.sheet());
        return new Sim(
                item.name(),
                s.text("carrier").orElse(""),
                s.text("size").map(SimSize::fromLabel),
                s.number("allowanceGb"),
                s.number("capMbps"));
    }

    private static Port port(Sheet row) {
        return new Port(
                require(row.text("label"), "port"),
                row.text("use").map(Use::fromLabel).orElse(Use.CELLULAR),
                Connector.of(require(row.text("connector"), "connector")),
                row.yes("main").orElse(false));
    }

    /** What a port or a lead is for is not guessed: where one does not say, which of them go together is not known. */
    private static boolean statesUse(Sheet row) {
        return row.text("use").isPresent();
    }

    private static Lead lead(Sheet row) {
        return new Lead(
                require(row.text("label"), "lead"),
                row.text("use").map(Use::fromLabel).orElse(Use.CELLULAR),
                row.text("cableClass").map(CableClass::of),
                row.number("lengthM"),
                Connector.of(require(row.text("connector"), "connector")),
                ownRange(row));
    }

    private static List<GainRange> ownRange(Sheet row) {
        boolean stated =
                row.number("fromMhz").isPresent() || row.number("toMhz").isPresent();
        return stated ? List.of(new GainRange(span(row), row.number("gainDbi"), row.number("gainDbi"))) : List.of();
    }

    private static Span span(Sheet row) {
        return new Span(require(row.number("fromMhz"), "from"), require(row.number("toMhz"), "to"));
    }

    private static PowerInput power(Sheet s) {
        OptionalDouble low = s.number("lowV");
        OptionalDouble high = s.number("highV");
        if (low.isPresent() && high.isPresent() && low.getAsDouble() > high.getAsDouble()) {
            throw new IllegalArgumentException("input is from " + low.getAsDouble() + " to " + high.getAsDouble()
                    + " V; the first must not be above the second");
        }
        return new PowerInput(
                s.yes("mainsOnly").orElse(false),
                s.list("feeds")
                        .map(f -> f.stream().map(Feed::fromLabel).collect(Collectors.toSet()))
                        .orElse(Set.of()),
                low,
                high,
                s.number("passiveV"),
                s.number("drawW"),
                s.number("peakW"));
    }

    /** Maps rows; what is refused names the row. */
    private static <T> List<T> mapped(List<Sheet> rows, Function<Sheet, T> part) {
        List<T> parts = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            try {
                parts.add(part.apply(rows.get(i)));
            } catch (IllegalArgumentException refused) {
                throw new IllegalArgumentException("row " + (i + 1) + ": " + refused.getMessage());
            }
        }
        return parts;
    }

    private static void unique(String what, List<String> labels) {
        Set<String> seen = new HashSet<>();
        labels.stream().filter(l -> !seen.add(l)).findFirst().ifPresent(twice -> {
            throw new IllegalArgumentException(
                    what + " " + Text.quote(twice) + " is there twice; each needs a name of its own");
        });
    }

    private static <T> T require(Optional<T> value, String what) {
        return value.orElseThrow(() -> new IllegalArgumentException(what + " is missing"));
    }

    private static double require(OptionalDouble value, String what) {
        return value.orElseThrow(() -> new IllegalArgumentException(what + " is missing"));
    }
}

package syntoma.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Reach;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;

/**
 * A chain with all that its rules look at.
 *
 * @param spares adapters on the shelf that the chain does not use
 * @param reach the carrier's bands in the regions travelled over the links of the chain: the device, its antennas for
 *     cellular side by side, the booster; none where the chain draws on another source
 * @param demand of the chosen needs
 * @param ways which leads bring in a band, by the band's name; of every band of the carrier
 */
public record FitCase(
        Chain chain, Wiring wiring, List<Adapter> spares, Reach reach, Demand demand, Map<String, Ways> ways) {

    /**
     * The leads that bring in a band.
     *
     * @param passing connected leads whose elements pass it
     * @param isOpen whether a connected lead may pass it, and its sheet does not say
     * @param best the one that brings most, or one of which that is not known; empty where none passes
     * @param staircase along that one; empty where the band does not work or the way is open
     */
    public record Ways(
            List<Wiring.Connection> passing,
            boolean isOpen,
            Optional<Wiring.Connection> best,
            Optional<Staircase> staircase) {
        private static final Ways NONE = new Ways(List.of(), false, Optional.empty(), Optional.empty());

        private static Ways of(Chain chain, List<Element> elements, List<LinkShare> shares, Coverage coverage) {
            Band band = coverage.band();
            List<Wiring.Connection> passing = new ArrayList<>();
            List<Wiring.Connection> differing = new ArrayList<>();
            boolean open = false;
            for (int i = 0; i < elements.size(); i++) {
                Element element = elements.get(i);
                Optional<Boolean> passes = shares.get(i).passes();
                open |= passes.isEmpty();
                if (passes.orElse(false)) {
                    passing.addAll(element.leads());
                    differing.addAll(element.differing());
                }
            }
            boolean drawn = coverage.works() && !open && isWiringKnown(chain);
            double mhz = band.downlink().middleMhz();
            Optional<Wiring.Connection> best = Optional.empty();
            boolean own = chain.booster().isEmpty()
                    && chain.device().flatMap(Device::ownAntennas).orElse(false);
            Optional<Staircase> staircase = drawn && own && passing.isEmpty()
                    ? Optional.of(Staircase.of(chain, Optional.empty(), mhz))
                    : Optional.empty();
            double most = Double.NEGATIVE_INFINITY;
            for (Wiring.Connection c : differing) {
                Staircase stairs = Staircase.of(chain, Optional.of(c), mhz);
                double brings = stairs.deltaDb().orElse(Double.POSITIVE_INFINITY);
                if (best.isEmpty() || brings > most) {
                    most = brings;
                    best = Optional.of(c);
                    staircase = drawn ? Optional.of(stairs) : Optional.empty();
                }
            }
            return new Ways(List.copyOf(passing), open, best, staircase);
        }
    }

    /**
     * Connected leads of an antenna with the same ranges, so that they pass the same bands.
     *
     * @param differing one of each kind of them that brings something else: by its length, its cables, its joints
     */
    private record Element(List<Wiring.Connection> leads, List<Wiring.Connection> differing) {
        static List<Element> of(List<Wiring.Connection> connected) {
            Map<List<Object>, List<Wiring.Connection>> alike = new LinkedHashMap<>();
            connected.forEach(c -> alike.computeIfAbsent(
                            List.of(
                                    c.lead().run().key(),
                                    c.lead().lead().ranges().isEmpty()
                                            ? ""
                                            : c.lead().key()),
                            k -> new ArrayList<>())
                    .add(c));
            return alike.values().stream()
                    .map(leads -> {
                        Set<Way> seen = new HashSet<>();
                        return new Element(
                                leads,
                                leads.stream().filter(c -> seen.add(Way.of(c))).toList());
                    })
                    .toList();
        }

        LinkShare share(Band band) {
            return leads.get(0).lead().share(band);
        }
    }

    /** What of a lead decides what it brings; leads that are alike in it bring the same. */
    private record Way(String antennaRun, Lead lead, List<Joint> joints) {
        static Way of(Wiring.Connection c) {
            Lead l = c.lead().lead();
            Lead unnamed = new Lead("", l.use(), l.cableClass(), l.lengthM(), l.connector(), l.ranges());
            boolean own = c.lead().run().ownExtension().containsKey(l.label());
            return new Way(c.lead().run().key() + (own ? "/" + l.label() : ""), unnamed, c.joints());
        }
    }

    /** A chain on the bands of a carrier. */
    public static FitCase of(Chain chain, String carrier, List<Band> bands, List<Adapter> spares, Demand demand) {
        Wiring wiring = Wiring.of(chain);
        List<Element> elements = Element.of(wiring.of(Use.CELLULAR));
        List<Coverage> coverage = new ArrayList<>();
        List<List<LinkShare>> shares = new ArrayList<>();
        for (Band band : chain.isCellular() ? bands : List.<Band>of()) {
            List<LinkShare> here = elements.stream().map(e -> e.share(band)).toList();
            shares.add(here);
            coverage.add(coverage(chain, here, band));
        }
        Reach reach = new Reach(carrier, coverage);
        Map<String, Ways> ways = new HashMap<>();
        for (int i = 0; i < shares.size(); i++) {
            Coverage judged = reach.bands().get(i);
            ways.put(judged.band().name(), Ways.of(chain, elements, shares.get(i), judged));
        }
        return new FitCase(chain, wiring, spares, reach, demand, Map.copyOf(ways));
    }

    private static Coverage coverage(Chain chain, List<LinkShare> connected, Band band) {
        List<LinkShare> device = List.of(chain.device()
                .map(d -> d.share(band))
                .orElseGet(() -> LinkShare.unknown("the device", "none is chosen")));
        Stream<LinkShare> antennas = connected.isEmpty()
                ? chain.antennas().stream().flatMap(run -> run.antenna().shares(band).stream())
                : Stream.concat(connected.stream(), withoutLeads(chain));
        List<LinkShare> booster =
                chain.booster().stream().map(b -> b.share(band)).toList();
        return Coverage.of(band, device, antennas.distinct().toList(), booster);
    }

    /** Antennas beside the connected ones whose sheets do not state their leads: what they bring is open. */
    private static Stream<LinkShare> withoutLeads(Chain chain) {
        return chain.antennas().stream()
                .filter(run -> run.antenna().leads().isEmpty())
                .map(run -> LinkShare.unknown(run.antenna().name(), "its leads are not stated"));
    }

    /** The carrier's bands. */
    public List<Band> bands() {
        return reach.bands().stream().map(Coverage::band).toList();
    }

    /** The network; empty text when none is chosen. */
    public String carrier() {
        return reach.carrier();
    }

    /** The leads for cellular that are at a port for it. */
    List<Wiring.Connection> cellular() {
        return wiring.of(Use.CELLULAR);
    }

    /** Whether what is connected to what follows from the sheets. */
    boolean isWiringKnown() {
        return isWiringKnown(chain);
    }

    private static boolean isWiringKnown(Chain chain) {
        return !chain.hasOpenLeads() && (chain.leads(Use.CELLULAR).isEmpty() || chain.hasStatedPorts());
    }

    private Ways ways(Band band) {
        return ways.getOrDefault(band.name(), Ways.NONE);
    }

    /** The connected leads whose elements pass a band. */
    List<Wiring.Connection> passing(Band band) {
        return ways(band).passing();
    }

    /**
     * The lead that brings most on a band; one of which that is not known where there is such a one; empty where none is
     * connected that passes it.
     */
    public Optional<Wiring.Connection> best(Band band) {
        return ways(band).best();
    }

    /**
     * The staircase on a band, along the lead that brings most; empty where the band does not work, or where a sheet leaves
     * open whether it does or along which lead.
     */
    public Optional<Staircase> staircase(Band band) {
        return ways(band).staircase();
    }

    /**
     * Antenna streams on a band: at most the device's layers for its technology, at most the leads at its ports that pass the
     * band; without any lead those of its own antennas. A booster's inside antenna makes it one. Empty where it is not known;
     * 0 on a band that does not get through.
     */
    public OptionalInt streams(Band band) {
        Optional<Coverage> coverage = reach.of(band);
        if (coverage.map(Coverage::isUnknown).orElse(false)) {
            return OptionalInt.empty();
        }
        return coverage.map(Coverage::works).orElse(true)
                ? streams(band.rat(), passing(band).size(), ways(band).isOpen())
                : OptionalInt.of(0);
    }

    private OptionalInt streams(Band.Technology rat, int passed, boolean open) {
        if (chain.device().isEmpty()) {
            return OptionalInt.of(0);
        }
        if (chain.booster().isPresent()) {
            return OptionalInt.of(chain.antennas().isEmpty() ? 0 : 1);
        }
        OptionalInt layers = chain.device().get().layers(rat);
        if (!isWiringKnown()) {
            return OptionalInt.empty();
        }
        if (cellular().isEmpty()) {
            Optional<Boolean> own = chain.device().get().ownAntennas();
            return own.isEmpty() ? OptionalInt.empty() : own.get() ? layers : OptionalInt.of(0);
        }
        boolean known = layers.isPresent() && (!open || passed >= layers.getAsInt());
        return known ? OptionalInt.of(Math.min(layers.getAsInt(), passed)) : OptionalInt.empty();
    }

    /** Antenna streams by technology over the bands that work; by the device's layers where no bands are looked at. */
    public Streams streams() {
        List<Streams.On> on = new ArrayList<>();
        for (Band.Technology rat : Band.Technology.values()) {
            List<Band> working = reach.working().stream()
                    .filter(b -> b.rat() == rat && !b.isDownlinkOnly())
                    .toList();
            if (!working.isEmpty()) {
                on.add(new Streams.On(
                        rat,
                        working.stream()
                                .map(this::streams)
                                .max(Comparator.comparingInt(n -> n.orElse(Integer.MAX_VALUE)))
                                .orElseThrow()));
            } else if (reach.isEmpty() && speaks(rat)) {
                on.add(new Streams.On(rat, streams(rat, cellular().size(), false)));
            }
        }
        return new Streams(on, reach.unknown() > 0);
    }

    private boolean speaks(Band.Technology rat) {
        return chain.device()
                .map(d -> d.speaks(rat).orElse(d.layers().containsKey(rat)))
                .orElse(false);
    }

    String device() {
        return chain.device().map(d -> d.name()).orElse("the device");
    }
}

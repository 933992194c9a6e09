package syntoma.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Reach;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Chain;
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
 */
public record FitCase(Chain chain, Wiring wiring, List<Adapter> spares, Reach reach, Demand demand) {

    /** A chain on the bands of a carrier. */
    public static FitCase of(Chain chain, String carrier, List<Band> bands, List<Adapter> spares, Demand demand) {
        Wiring wiring = Wiring.of(chain);
        List<Coverage> coverage = chain.isCellular()
                ? bands.stream().map(band -> coverage(chain, wiring, band)).toList()
                : List.of();
        return new FitCase(chain, wiring, spares, new Reach(carrier, coverage), demand);
    }

    private static Coverage coverage(Chain chain, Wiring wiring, Band band) {
        List<LinkShare> device = chain.device().stream().map(d -> d.share(band)).toList();
        List<Wiring.Connection> connected = wiring.of(Use.CELLULAR);
        Stream<LinkShare> antennas = connected.isEmpty()
                ? chain.antennas().stream().flatMap(run -> run.antenna().shares(band).stream())
                : Stream.concat(connected.stream().map(c -> c.lead().share(band)), withoutLeads(chain));
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
    boolean wiringKnown() {
        return !chain.leadsOpen() && (chain.leads(Use.CELLULAR).isEmpty() || chain.portsStated());
    }

    /** The connected leads whose elements pass a band. */
    List<Wiring.Connection> passing(Band band) {
        return cellular().stream().filter(c -> on(c, band).works()).toList();
    }

    /** Whether a connected lead may pass a band, and its sheet does not say. */
    private boolean isOpen(Band band) {
        return cellular().stream().anyMatch(c -> on(c, band).isUnknown());
    }

    private static Coverage on(Wiring.Connection connection, Band band) {
        return Coverage.of(band, List.of(connection.lead().share(band)));
    }

    /**
     * The lead that brings most on a band; one of which that is not known where there is such a one; empty where none is
     * connected that passes it.
     */
    public Optional<Wiring.Connection> best(Band band) {
        double mhz = band.downlink().middleMhz();
        return passing(band).stream()
                .max(Comparator.comparingDouble(
                        c -> Staircase.of(chain, Optional.of(c), mhz).deltaDb().orElse(Double.POSITIVE_INFINITY)));
    }

    /**
     * The staircase on a band, along the lead that brings most; empty where the band does not work, or where a sheet leaves
     * open whether it does or along which lead.
     */
    public Optional<Staircase> staircase(Band band) {
        boolean works = reach.of(band).map(Coverage::works).orElse(false);
        return works && wiringKnown() && !isOpen(band)
                ? Optional.of(Staircase.of(chain, best(band), band.downlink().middleMhz()))
                : Optional.empty();
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
                ? streams(band.rat(), passing(band).size(), isOpen(band))
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
        if (!wiringKnown()) {
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
                    .filter(b -> b.rat() == rat && !b.downlinkOnly())
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

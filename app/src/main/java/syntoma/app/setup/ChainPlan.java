package syntoma.app.setup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import syntoma.app.platform.CompleteCollections;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.band.Bands;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Plugging;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Settings;
import syntoma.core.chain.Source;
import syntoma.core.design.Variation;

/**
 * A chain as it is put together: its parts by the number of their gear.
 *
 * @param device the router, hotspot or phone
 * @param wiring port by the key of its lead (number of the antenna, slash, label of the lead), where it is stated; empty: it
 *     is proposed
 * @param lockedBands bands that the device is held to
 */
public record ChainPlan(
        @Nullable Long device,
        String devicePlacement,
        @Nullable Long booster,
        List<Run> runs,
        List<Long> adapters,
        List<Long> sims,
        Map<String, String> wiring,
        String mode,
        List<String> lockedBands,
        String source) {
    private static final int MOST_PARTS = 40;
    private static final int MOST_BANDS = 300;

    /** A plate of 20 × 20 cm, which is what most sheets ask for. */
    private static final double USUAL_PLATE_CM2 = 400;

    /**
     * An antenna, what lengthens its leads, where it is, and how high.
     *
     * @param cables that lengthen each of its cellular leads, one set of them for each lead
     * @param leadCables those of a lead that has its own, by its label
     * @param mount what it stands on
     * @param mastM height of its foot above the roof; 0 for what its mount raises it by
     * @param plateCm2 area of a steel plate beneath it
     */
    public record Run(
            long antenna,
            List<Long> cables,
            Map<String, List<Long>> leadCables,
            @Nullable Long mount,
            String placement,
            double mastM,
            @Nullable Double plateCm2) {
        public Run {
            cables = CompleteCollections.list("cables", cables);
            leadCables = CompleteCollections.map("leadCables", leadCables);
            placement = Objects.requireNonNullElse(placement, Placement.ROOF.label());
        }

        /** On the roof, with nothing between. */
        static Run onRoof(long antenna) {
            return new Run(antenna, List.of(), Map.of(), null, Placement.ROOF.label(), 0, null);
        }

        Run with(long otherAntenna) {
            return new Run(otherAntenna, cables, Map.of(), mount, placement, mastM, plateCm2);
        }

        Run atHeight(double metres) {
            return new Run(antenna, cables, leadCables, mount, placement, metres, plateCm2);
        }

        /** Its leads lengthened by one cable and nothing else. */
        Run lengthened(long cable) {
            return new Run(antenna, List.of(cable), Map.of(), mount, placement, mastM, plateCm2);
        }

        Run onPlate(boolean with) {
            Double plate = with ? Objects.requireNonNullElse(plateCm2, USUAL_PLATE_CM2) : null;
            return new Run(antenna, cables, leadCables, mount, placement, mastM, plate);
        }

        Stream<Long> gear() {
            return Stream.of(
                            Stream.of(antenna),
                            cables.stream(),
                            leadCables.values().stream().flatMap(List::stream),
                            Stream.ofNullable(mount))
                    .flatMap(s -> s);
        }
    }

    /** Nothing chosen yet. */
    public static final ChainPlan EMPTY = new ChainPlan(null, null, null, null, null, null, null, null, null, null);

    public ChainPlan {
        devicePlacement = Objects.requireNonNullElse(devicePlacement, Placement.INSIDE.label());
        runs = CompleteCollections.list("runs", runs);
        adapters = CompleteCollections.list("adapters", adapters);
        sims = CompleteCollections.list("sims", sims);
        wiring = CompleteCollections.map("wiring", wiring);
        mode = Objects.requireNonNullElse(mode, RadioMode.AUTOMATIC.label());
        lockedBands = CompleteCollections.list("lockedBands", lockedBands);
        source = Objects.requireNonNullElse(source, Source.CELLULAR.label());
    }

    /**
     * Refuses a plan that no vehicle could hold.
     *
     * @throws InvalidInputException naming the list that is too long
     */
    void checkLengths() {
        checkSize("runs", runs.size(), MOST_PARTS);
        checkSize("adapters", adapters.size(), MOST_PARTS);
        checkSize("sims", sims.size(), MOST_PARTS);
        checkSize("wiring", wiring.size(), MOST_PARTS);
        checkSize("lockedBands", lockedBands.size(), MOST_BANDS);
        for (int i = 0; i < runs.size(); i++) {
            Run run = runs.get(i);
            checkSize("runs[" + i + "].cables", run.cables().size(), MOST_PARTS);
            checkSize("runs[" + i + "].leadCables", run.leadCables().size(), MOST_PARTS);
            String path = "runs[" + i + "].leadCables.";
            run.leadCables().forEach((lead, cables) -> checkSize(path + lead, cables.size(), MOST_PARTS));
        }
    }

    /**
     * Refuses settings that there are not. What is stored already is not asked again.
     *
     * @throws InvalidInputException naming the setting, its value and what is allowed
     */
    void checkSettings() {
        InvalidInputException.naming("mode", () -> RadioMode.fromLabel(mode));
        InvalidInputException.naming("source", () -> Source.fromLabel(source));
        for (int i = 0; i < lockedBands.size(); i++) {
            String band = lockedBands.get(i);
            InvalidInputException.naming("lockedBands[" + i + "]", () -> Bands.of(band));
        }
    }

    private static void checkSize(String field, int size, int most) {
        if (size > most) {
            throw new InvalidInputException(field, field + " has " + size + " items; allowed are up to " + most);
        }
    }

    /** The numbers of all gear in it. */
    public List<Long> gear() {
        List<Long> all = new ArrayList<>();
        if (device != null) {
            all.add(device);
        }
        if (booster != null) {
            all.add(booster);
        }
        runs.forEach(run -> run.gear().forEach(all::add));
        all.addAll(adapters);
        all.addAll(sims);
        return all;
    }

    /**
     * The gear in it with how many pieces of each: a cable for each lead that it lengthens, an adapter as often as it is named.
     *
     * @param cellularLeads how many cellular leads an antenna has
     */
    Map<Long, Integer> pieces(ToIntFunction<Run> cellularLeads) {
        Map<Long, Integer> pieces = new LinkedHashMap<>();
        gear().forEach(id -> pieces.merge(id, 1, Integer::sum));
        for (Run run : runs) {
            int leads = Math.max(1, cellularLeads.applyAsInt(run));
            run.cables().forEach(id -> pieces.merge(id, leads - 1, Integer::sum));
        }
        return pieces;
    }

    Settings settings() {
        return new Settings(RadioMode.fromLabel(mode), lockedBands, Source.fromLabel(source));
    }

    /** Whether it is the device of another plan with its own antenna, inside. */
    public boolean isOwnAntennaOf(ChainPlan other) {
        return device != null
                && device.equals(other.device)
                && booster == null
                && runs.isEmpty()
                && devicePlacement.equals(Placement.INSIDE.label());
    }

    /** How it is plugged; a wiring that cannot be, kept before that was checked, counts as not stated. */
    Plugging plugging() {
        try {
            return new Plugging(wiring);
        } catch (IllegalArgumentException twoInAPort) {
            return Plugging.NONE;
        }
    }

    public ChainPlan with(Plugging plugging) {
        return new ChainPlan(
                device,
                devicePlacement,
                booster,
                runs,
                adapters,
                sims,
                plugging.portOfLead(),
                mode,
                lockedBands,
                source);
    }

    /** With another device; how it was plugged then says nothing. */
    public ChainPlan withDevice(long other) {
        return new ChainPlan(
                other, devicePlacement, booster, runs, adapters, sims, Map.of(), mode, lockedBands, source);
    }

    /** With another antenna alone, where and as the first one is. */
    public ChainPlan withAntenna(long other) {
        Run run = runs.isEmpty() ? Run.onRoof(other) : runs.get(0).with(other);
        return new ChainPlan(
                device, devicePlacement, booster, List.of(run), adapters, sims, Map.of(), mode, lockedBands, source);
    }

    /** With the leads of an antenna lengthened by one cable and nothing else; its plugs are proposed again. */
    public ChainPlan lengthened(long antenna, long cable) {
        List<Run> longer = runs.stream()
                .map(run -> run.antenna == antenna ? run.lengthened(cable) : run)
                .toList();
        return new ChainPlan(
                device, devicePlacement, booster, longer, adapters, sims, Map.of(), mode, lockedBands, source);
    }

    /** The same with one thing changed; what is no part of a chain leaves it as it is. */
    public ChainPlan varied(Variation variation) {
        return switch (variation.kind()) {
            case BANDS ->
                new ChainPlan(
                        device,
                        devicePlacement,
                        booster,
                        runs,
                        adapters,
                        sims,
                        wiring,
                        variation.isInChain() ? variation.mode().label() : mode,
                        variation.isInChain() ? variation.bands() : lockedBands,
                        source);
            case BOOSTER, ANTENNAS ->
                new ChainPlan(
                        device, devicePlacement, null, List.of(), List.of(), sims, Map.of(), mode, lockedBands, source);
            case HEIGHT -> withRuns(run -> run.atHeight(variation.metres()));
            case PLATE -> withRuns(run -> run.onPlate(variation.value().equals("with")));
            case PLACE, SPACING -> this;
        };
    }

    private ChainPlan withRuns(UnaryOperator<Run> change) {
        List<Run> changed = runs.stream().map(change).toList();
        return new ChainPlan(
                device, devicePlacement, booster, changed, adapters, sims, wiring, mode, lockedBands, source);
    }
}

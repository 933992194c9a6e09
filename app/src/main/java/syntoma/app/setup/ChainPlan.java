package syntoma.app.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.Whole;
import syntoma.core.band.Bands;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Plugging;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Source;

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

    /** An antenna, the cables that lengthen its leads, where it is, and how high above the roof. */
    public record Run(long antenna, List<Long> cables, String placement, double mastM) {
        public Run {
            cables = Whole.list("cables", cables);
            placement = Objects.requireNonNullElse(placement, Placement.ROOF.label());
        }
    }

    /** Nothing chosen yet. */
    public static final ChainPlan EMPTY = new ChainPlan(null, null, null, null, null, null, null, null, null, null);

    public ChainPlan {
        devicePlacement = Objects.requireNonNullElse(devicePlacement, Placement.INSIDE.label());
        runs = Whole.list("runs", runs);
        adapters = Whole.list("adapters", adapters);
        sims = Whole.list("sims", sims);
        wiring = Whole.map("wiring", wiring);
        mode = Objects.requireNonNullElse(mode, RadioMode.AUTOMATIC.label());
        lockedBands = Whole.list("lockedBands", lockedBands);
        source = Objects.requireNonNullElse(source, Source.CELLULAR.label());
    }

    /**
     * Refuses a plan that no vehicle could hold.
     *
     * @throws InvalidInput naming the list that is too long
     */
    void checkLengths() {
        few("runs", runs.size(), MOST_PARTS);
        few("adapters", adapters.size(), MOST_PARTS);
        few("sims", sims.size(), MOST_PARTS);
        few("wiring", wiring.size(), MOST_PARTS);
        few("lockedBands", lockedBands.size(), MOST_BANDS);
        for (int i = 0; i < runs.size(); i++) {
            few("runs[" + i + "].cables", runs.get(i).cables().size(), MOST_PARTS);
        }
    }

    /**
     * Refuses settings that there are not. What is stored already is not asked again.
     *
     * @throws InvalidInput naming the setting, its value and what is allowed
     */
    void checkSettings() {
        InvalidInput.naming("mode", () -> RadioMode.labelled(mode));
        InvalidInput.naming("source", () -> Source.labelled(source));
        for (int i = 0; i < lockedBands.size(); i++) {
            String band = lockedBands.get(i);
            InvalidInput.naming("lockedBands[" + i + "]", () -> Bands.named(band));
        }
    }

    private static void few(String field, int size, int most) {
        if (size > most) {
            throw new InvalidInput(field, field + " has " + size + " items; allowed are up to " + most);
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
        for (Run run : runs) {
            all.add(run.antenna());
            all.addAll(run.cables());
        }
        all.addAll(adapters);
        all.addAll(sims);
        return all;
    }

    Plugging plugging() {
        return new Plugging(wiring);
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
        Run old = runs.isEmpty() ? new Run(other, List.of(), null, 0) : runs.get(0);
        Run run = new Run(other, old.cables(), old.placement(), old.mastM());
        return new ChainPlan(
                device, devicePlacement, booster, List.of(run), adapters, sims, Map.of(), mode, lockedBands, source);
    }
}

package syntoma.app.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInput;
import syntoma.core.unit.Text;

/**
 * A chain as it is put together: its parts by the number of their gear.
 *
 * @param device the router, hotspot or phone
 * @param devicePlacement roof, mast, window or inside
 * @param wiring lead to port by label, where it is stated; empty: it is proposed
 * @param mode how the radio is set, such as automatic or locked
 * @param lockedBands bands that the device is held to
 * @param source what else it draws on: cellular, campground Wi-Fi or satellite
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
    private static final int LONGEST_WORD = 40;
    private static final int LONGEST_LABEL = 400;

    /** An antenna, the cables that lengthen its leads, where it is, and how high above the roof. */
    public record Run(long antenna, List<Long> cables, String placement, double mastM) {
        public Run {
            cables = cables == null ? List.of() : List.copyOf(cables);
            placement = placement == null ? "roof" : placement;
        }
    }

    /** Nothing chosen yet. */
    public static final ChainPlan EMPTY = new ChainPlan(null, null, null, null, null, null, null, null, null, null);

    public ChainPlan {
        devicePlacement = devicePlacement == null ? "inside" : devicePlacement;
        runs = runs == null ? List.of() : List.copyOf(runs);
        adapters = adapters == null ? List.of() : List.copyOf(adapters);
        sims = sims == null ? List.of() : List.copyOf(sims);
        wiring = wiring == null ? Map.of() : Map.copyOf(wiring);
        mode = mode == null ? "automatic" : mode;
        lockedBands = lockedBands == null ? List.of() : List.copyOf(lockedBands);
        source = source == null ? "cellular" : source;
    }

    /**
     * Refuses a plan that no vehicle could hold.
     *
     * @throws InvalidInput naming the list or the text that is too long
     */
    void check() {
        few("runs", runs.size(), MOST_PARTS);
        few("adapters", adapters.size(), MOST_PARTS);
        few("sims", sims.size(), MOST_PARTS);
        few("wiring", wiring.size(), MOST_PARTS);
        few("lockedBands", lockedBands.size(), MOST_BANDS);
        for (int i = 0; i < runs.size(); i++) {
            few("runs[" + i + "].cables", runs.get(i).cables().size(), MOST_PARTS);
        }
        InvalidInput.naming("mode", () -> Text.name("mode", mode, LONGEST_WORD));
        InvalidInput.naming("source", () -> Text.name("source", source, LONGEST_WORD));
        wiring.forEach((lead, port) -> {
            InvalidInput.naming("wiring", () -> Text.name("lead", lead, LONGEST_LABEL));
            InvalidInput.naming("wiring", () -> Text.name("port", port, LONGEST_LABEL));
        });
    }

    private static void few(String field, int size, int most) {
        if (size > most) {
            throw new InvalidInput(field, field + " has " + size + " items; allowed are up to " + most);
        }
    }

    /** The numbers of all gear in it. */
    List<Long> gear() {
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

    ChainPlan withDevice(long other) {
        return new ChainPlan(
                other, devicePlacement, booster, runs, adapters, sims, Map.of(), mode, lockedBands, source);
    }

    ChainPlan withAntenna(long other) {
        Run old = runs.isEmpty() ? new Run(other, List.of(), "roof", 0) : runs.get(0);
        Run run = new Run(other, old.cables(), old.placement(), old.mastM());
        return new ChainPlan(
                device, devicePlacement, booster, List.of(run), adapters, sims, Map.of(), mode, lockedBands, source);
    }
}

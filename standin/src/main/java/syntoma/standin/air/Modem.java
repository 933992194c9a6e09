package syntoma.standin.air;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Picks cells as devices do: the strongest that is allowed, the one in use as long as none is clearly stronger, and what may be added to it. */
final class Modem {
    private static final double HYSTERESIS_DB = 3;
    private static final double LEAST_RSRP_DBM = -124;
    private static final double LEAST_SINR_DB = -8;

    /** What is added has to be better than that. */
    private static final double LEAST_ADDED_DBM = -114;

    private final Map<String, Cell> inUse = new HashMap<>();

    /**
     * The cells in use, the primary one first.
     *
     * @param heard what the device hears of cells that its setup passes
     */
    List<HeardCell> pick(List<HeardCell> heard, AsBuilt setup, Hands hands) {
        List<HeardCell> lte = heard.stream()
                .filter(h -> !h.cell().isNr())
                .filter(h -> h.rsrpDbm() > LEAST_RSRP_DBM && h.sinrDb() > LEAST_SINR_DB)
                .sorted(Comparator.comparingDouble(HeardCell::rsrpDbm).reversed())
                .toList();
        if (lte.isEmpty()) {
            inUse.remove(hands.key());
            return List.of();
        }
        HeardCell primary = lte.get(0);
        Cell before = inUse.get(hands.key());
        Optional<HeardCell> kept =
                lte.stream().filter(h -> h.cell().equals(before)).findFirst();
        if (kept.isPresent() && kept.get().rsrpDbm() > primary.rsrpDbm() - HYSTERESIS_DB) {
            primary = kept.get();
        }
        inUse.put(hands.key(), primary.cell());
        List<HeardCell> cells = new ArrayList<>();
        cells.add(primary);
        for (HeardCell h : lte) {
            boolean same = h.cell().site().equals(primary.cell().site());
            if (same && h != primary && cells.size() < setup.aggregates() && h.rsrpDbm() > LEAST_ADDED_DBM) {
                cells.add(h);
            }
        }
        heard.stream()
                .filter(h -> h.cell().isNr() && h.rsrpDbm() > LEAST_ADDED_DBM)
                .max(Comparator.comparingDouble(HeardCell::rsrpDbm))
                .ifPresent(cells::add);
        return cells;
    }
}

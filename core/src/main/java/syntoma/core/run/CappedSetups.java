package syntoma.core.run;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Which setups' runs are held at a cap in one direction: those of which more than half are flat runs that the cap holds. What has
 * no curve cannot be known to be held.
 *
 * @param mbps the rate by setup
 */
public record CappedSetups(Map<String, Double> mbps) {
    /** Nothing is known to be held. */
    public static final CappedSetups NONE = new CappedSetups(Map.of());

    public CappedSetups {
        mbps = Map.copyOf(mbps);
    }

    /**
     * What is held.
     *
     * @param flat the flat runs of one SIM and direction
     * @param runs how many runs each setup has, flat or not, with a curve or without
     */
    public static CappedSetups of(List<Cap.FlatRun> flat, Map<String, Integer> runs) {
        Optional<Cap> cap = Cap.of(flat);
        if (cap.isEmpty()) {
            return NONE;
        }
        Map<String, Double> held = new HashMap<>();
        runs.forEach((setup, count) -> {
            long of = flat.stream()
                    .filter(run -> run.setup().equals(setup) && cap.get().holds(run.mbps()))
                    .count();
            if (2 * of > count) {
                held.put(setup, cap.get().mbps());
            }
        });
        return new CappedSetups(held);
    }

    /** The rate at which both setups are held; empty where one of them is not. */
    public OptionalDouble commonCap(String one, String other) {
        return mbps.containsKey(one) && mbps.containsKey(other)
                ? OptionalDouble.of(mbps.get(one))
                : OptionalDouble.empty();
    }
}

package syntoma.core.advice;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * The carriers that nothing was heard of at one stay. “No service” is a bound, not a level: the signal lies under what the listening
 * device still holds on to, by how much is not known (docs/methods.md#13-advice).
 */
public final class Silence {
    /** How much more the roof hears than a phone inside the vehicle: the shell of steel on low bands (docs/methods.md#3-chain). */
    private static final double SHELL_DB = 12;

    /** No antenna on a mast hears more than so much over one without gain; what a booster adds is nothing where nothing comes in. */
    private static final double MOST_GAIN_DB = 15;

    /** Under its bound a silent signal lies by so much, about as much; chosen: about the spread of levels over campsites. */
    static final double BELOW_DB = 8;

    /** By carrier, what an antenna without gain outside would hear at most, in dBm. */
    private final Map<String, Double> bounds = new HashMap<>();

    private final Set<String> listenedOutside = new HashSet<>();

    private Silence() {}

    /**
     * What was silent.
     *
     * @param log of which only this stay counts
     * @param promised by setup, what its data sheets promise over an antenna without gain outside, in dB
     */
    static Silence of(List<PastMeasurement> log, StayContext here, Map<String, OptionalDouble> promised) {
        Silence silence = new Silence();
        Set<String> heard = new HashSet<>();
        for (PastMeasurement past : log) {
            if (past.stay() != here.stay()) {
                continue;
            }
            if (past.hasNoService()) {
                double gain = past.setup().equals(Option.PHONE_INSIDE)
                        ? -SHELL_DB
                        : heardGain(promised.getOrDefault(past.setup(), OptionalDouble.empty())
                                .orElse(0));
                silence.bounds.merge(past.carrier(), PastMeasurement.NO_SERVICE_DBM - gain, Math::min);
                if (!past.setup().equals(Option.PHONE_INSIDE)) {
                    silence.listenedOutside.add(past.carrier());
                }
            } else if (past.hasSucceeded()) {
                heard.add(past.carrier());
            }
        }
        silence.bounds.keySet().removeAll(heard);
        return silence;
    }

    private static double heardGain(double promisedDb) {
        return Math.min(MOST_GAIN_DB, promisedDb);
    }

    /** Whether nothing was heard of a carrier by anything that listened. */
    public boolean isSilent(String carrier) {
        return bounds.containsKey(carrier);
    }

    /** Whether all of some carriers are silent; not of none. */
    public boolean areSilent(Set<String> carriers) {
        return !carriers.isEmpty() && carriers.stream().allMatch(this::isSilent);
    }

    /** Whether phones inside the vehicle alone listened to some carriers. */
    public boolean isOnlyInside(Set<String> carriers) {
        return carriers.stream().noneMatch(listenedOutside::contains);
    }

    /** What a setup on a silent carrier may be expected to hear, in dBm; empty where the carrier is not silent. */
    OptionalDouble levelDbm(String carrier, OptionalDouble promisedDb) {
        return isSilent(carrier)
                ? OptionalDouble.of(bounds.get(carrier) + heardGain(promisedDb.orElse(0)) - BELOW_DB)
                : OptionalDouble.empty();
    }
}

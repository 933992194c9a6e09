package syntoma.core.fit;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.chain.Feature;
import syntoma.core.need.Requirement;

/**
 * What the chosen needs ask of a setup.
 *
 * @param downMbps the rate asked for; empty when download does not matter
 * @param upMbps the rate asked for; empty when upload does not matter
 * @param gbAMonth 0 when nothing is asked for
 * @param features what the device must be able to do
 */
public record Demand(OptionalDouble downMbps, OptionalDouble upMbps, double gbAMonth, List<Feature> features) {
    /** Nothing is asked for. */
    public static final Demand NONE = new Demand(OptionalDouble.empty(), OptionalDouble.empty(), 0, List.of());

    public Demand {
        features = List.copyOf(features);
    }

    /** What needs ask for together, and what else the device must be able to do. */
    public static Demand of(Requirement required, List<Feature> features) {
        return new Demand(required.downMbps(), required.upMbps(), required.gbAMonth(), features);
    }

    /** The larger of the two rates; empty when none is asked for. */
    public OptionalDouble rateMbps() {
        return downMbps.isEmpty() || upMbps.isPresent() && upMbps.getAsDouble() > downMbps.getAsDouble()
                ? upMbps
                : downMbps;
    }
}

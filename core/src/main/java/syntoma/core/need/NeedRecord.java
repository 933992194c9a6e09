package syntoma.core.need;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import syntoma.core.reading.Figure;

/** How often one setup's runs met the need, and what fails where they did not. */
public record NeedRecord(Met share, Optional<Shortfall> shortfall) {

    /**
     * Judges the runs of one setup.
     *
     * @param values each run's figures; empty for a run that failed
     */
    public static NeedRecord of(List<Need> needs, List<Optional<Function<Figure, Optional<Double>>>> values) {
        return new NeedRecord(Met.of(needs, values), Shortfall.of(needs, values));
    }
}

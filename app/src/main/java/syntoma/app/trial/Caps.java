package syntoma.app.trial;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.stereotype.Component;
import syntoma.app.instrument.LoggedRuns;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.core.reading.Figure;
import syntoma.core.run.Cap;
import syntoma.core.run.CappedSetups;
import syntoma.core.run.Direction;
import syntoma.core.trial.Outcome;

/** Whether what is compared was held by a plan or the network, by the curves of its runs. */
@Component
class Caps {
    private final LoggedRuns loggedRuns;

    Caps(LoggedRuns loggedRuns) {
        this.loggedRuns = loggedRuns;
    }

    /** What is known of all runs now. */
    Curves read() {
        return new Curves(loggedRuns.flat(Direction.DOWN), loggedRuns.flat(Direction.UP));
    }

    /**
     * Which logged runs were flat.
     *
     * @param down by the numbers of their measurements
     * @param up the same
     */
    record Curves(Set<Long> down, Set<Long> up) {
        /** The setups that are held on a metric; none where several SIMs were used, or where it is no rate. */
        CappedSetups cappedSetups(List<LoggedMeasurement> made, Figure metric) {
            Optional<Direction> direction =
                    switch (metric) {
                        case DOWN_MBPS -> Optional.of(Direction.DOWN);
                        case UP_MBPS -> Optional.of(Direction.UP);
                        default -> Optional.empty();
                    };
            List<LoggedMeasurement> measured = made.stream()
                    .filter(m -> m.value(metric) != null && m.outcome().equals(Outcome.OK.label()))
                    .toList();
            boolean oneSim =
                    measured.stream().map(LoggedMeasurement::carrier).distinct().count() == 1;
            if (direction.isEmpty() || !oneSim) {
                return CappedSetups.NONE;
            }
            Set<Long> flat = direction.get() == Direction.DOWN ? down : up;
            Map<String, Integer> runs = new HashMap<>();
            measured.forEach(m -> runs.merge(m.setup(), 1, Integer::sum));
            return CappedSetups.of(
                    measured.stream()
                            .filter(m -> flat.contains(m.id()))
                            .map(m -> new Cap.FlatRun(
                                    m.value(metric).doubleValue(),
                                    m.setup(),
                                    m.stay() == null ? -1 : m.stay(),
                                    m.value(Figure.SINR_DB) == null
                                            ? OptionalDouble.empty()
                                            : OptionalDouble.of(
                                                    m.value(Figure.SINR_DB).doubleValue())))
                            .toList(),
                    runs);
        }
    }
}

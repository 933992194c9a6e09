package syntoma.app.trial;

import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toSet;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.measurement.TrialSpan;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.ModeratedVariance;
import syntoma.core.verdict.Plan;

/**
 * The plan of a trial, with what the trials before it tell of the spread: those that were planned, that made all their
 * rounds, and that ended before it began, so that a verdict never changes for what is tried later.
 */
@Component
class PastTrials {
    /** Chosen, because older ones tell little more than the latest twenty. */
    private static final int MOST = 20;

    private final Plans plans;
    private final Measurements measurements;
    private final Caps caps;

    PastTrials(Plans plans, Measurements measurements, Caps caps) {
        this.plans = plans;
        this.measurements = measurements;
        this.caps = caps;
    }

    /** A reading of all trials, in which each is read at most once. */
    Reading read() {
        return new Reading(plans.measuredTrials(), caps.read());
    }

    record Key(long campsite, String name) {
        static Key of(TrialSpan span) {
            return new Key(span.campsiteId(), span.name());
        }
    }

    /** The trials as they are at one moment. */
    final class Reading {
        private final Map<Key, Plans.TrialRow> trials;
        private final Caps.Curves curves;
        private final Map<Key, List<LoggedMeasurement>> byTrial = new HashMap<>();
        private final Map<Key, Map<Figure, Optional<ModeratedVariance.PastSpread>>> spreads = new HashMap<>();

        private Reading(List<Plans.TrialRow> rows, Caps.Curves curves) {
            this.curves = curves;
            trials = rows.stream().collect(toMap(r -> Key.of(r.trial()), r -> r));
        }

        /** The measurements of a trial; none where there is no such trial. */
        List<LoggedMeasurement> measurements(Key trial) {
            return byTrial.computeIfAbsent(
                    trial, key -> measurements.list(Selection.at(key.campsite()).ofTrial(key.name())));
        }

        /**
         * The planned trial among measurements at a campsite in which each of some setups was tried; of several, the latest.
         * What was planned is judged by its plan, also where it is met by another way.
         */
        Optional<Key> plannedAmong(List<LoggedMeasurement> made, long campsite, List<String> setups) {
            return made.stream()
                    .map(LoggedMeasurement::trial)
                    .filter(Objects::nonNull)
                    .distinct()
                    .map(name -> new Key(campsite, name))
                    .filter(key -> plannedRounds(key).isPresent())
                    .filter(key -> measurements(key).stream()
                            .map(LoggedMeasurement::setup)
                            .collect(toSet())
                            .containsAll(setups))
                    .reduce((earlier, later) -> later);
        }

        /** The setups that a plan or the network held on a metric. */
        CappedSetups capped(List<LoggedMeasurement> made, Figure metric) {
            return curves.cappedSetups(made, metric);
        }

        /** How many rounds a trial was planned for. */
        Optional<Integer> plannedRounds(Key trial) {
            return Optional.ofNullable(trials.get(trial)).map(Plans.TrialRow::plannedRounds);
        }

        /** How a trial is judged on a metric; empty where it was not planned. */
        Optional<Plan> plan(Key trial, Figure metric) {
            return plannedRounds(trial)
                    .map(rounds -> new Plan(
                            rounds,
                            ModeratedVariance.from(before(trials.get(trial).trial()).stream()
                                    .flatMap(t -> spread(t, metric).stream())
                                    .toList())));
        }

        private List<TrialSpan> before(TrialSpan trial) {
            return trials.values().stream()
                    .filter(r -> r.plannedRounds() != null && r.trial().rounds() >= r.plannedRounds())
                    .map(Plans.TrialRow::trial)
                    .filter(t -> t.to().isBefore(trial.from()))
                    .sorted(Comparator.comparing(TrialSpan::to).reversed())
                    .limit(MOST)
                    .toList();
        }

        private Optional<ModeratedVariance.PastSpread> spread(TrialSpan trial, Figure metric) {
            Key key = Key.of(trial);
            return spreads.computeIfAbsent(key, k -> new EnumMap<>(Figure.class))
                    .computeIfAbsent(metric, m -> Comparer.unplanned(m, Measurements.samples(measurements(key), m))
                            .spread(measurements(key).stream()
                                    .map(LoggedMeasurement::setup)
                                    .distinct()
                                    .toList()));
        }
    }
}

package syntoma.app.trial;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.measurement.TrialSpan;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;

/** Any two setups compared: finds the measurements, lets the core judge them. */
@Service
@Transactional(readOnly = true)
class Comparisons {
    private final Campsites campsites;
    private final Setups setups;
    private final Measurements measurements;
    private final Plans plans;

    Comparisons(Campsites campsites, Setups setups, Measurements measurements, Plans plans) {
        this.campsites = campsites;
        this.setups = setups;
        this.measurements = measurements;
        this.plans = plans;
    }

    /** One pair on one metric, unadjusted; over a trial, or over all blocks at a campsite. */
    Comparison compare(
            String baseline, String candidate, Figure metric, Optional<String> campsite, Optional<String> trial) {
        setups.of(baseline);
        setups.of(candidate);
        refuseOne(baseline, candidate);
        long place = place(campsite, trial);
        Selection selection = Selection.at(place);
        if (trial.isPresent()) {
            String name = trial.get();
            boolean known = measurements.trials().stream()
                    .anyMatch(t -> t.campsiteId() == place && t.name().equals(name));
            if (!known) {
                throw new NotFound("no trial is named " + Text.quoted(name) + " there");
            }
            selection = selection.ofTrial(name);
        }
        OptionalInt planned = trial.map(name -> plans.rounds(place, name)).orElse(OptionalInt.empty());
        List<LoggedMeasurement> made = measurements.list(selection);
        return new Comparer(metric, Measurements.samples(made, metric), planned, OptionalDouble.empty())
                .pair(baseline, candidate);
    }

    /** A setup is not compared with itself. */
    static void refuseOne(String baseline, String candidate) {
        if (baseline.equals(candidate)) {
            throw new InvalidInput(
                    "candidate", "baseline and candidate are both " + Text.quoted(baseline) + "; name two setups");
        }
    }

    private long place(Optional<String> campsite, Optional<String> trial) {
        if (campsite.isPresent()) {
            return campsites.of(campsite.get()).id();
        }
        if (trial.isPresent()) {
            return onlyCampsiteOf(trial.get());
        }
        throw new InvalidInput("campsite", "campsite is missing; name a campsite, or a trial whose name is unique");
    }

    private long onlyCampsiteOf(String trial) {
        List<TrialSpan> found = measurements.trials().stream()
                .filter(t -> t.name().equals(trial))
                .toList();
        if (found.isEmpty()) {
            throw new NotFound("no trial is named " + Text.quoted(trial));
        }
        if (found.size() > 1) {
            throw new InvalidInput(
                    "trial",
                    "trial " + Text.quoted(trial) + " was held at "
                            + found.stream().map(TrialSpan::campsite).collect(Collectors.joining(", "))
                            + "; name the campsite too");
        }
        return found.get(0).campsiteId();
    }
}

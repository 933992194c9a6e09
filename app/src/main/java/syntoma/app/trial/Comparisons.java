package syntoma.app.trial;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.measurement.TrialSpan;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
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
    private final PastTrials pastTrials;

    Comparisons(Campsites campsites, Setups setups, Measurements measurements, PastTrials pastTrials) {
        this.campsites = campsites;
        this.setups = setups;
        this.measurements = measurements;
        this.pastTrials = pastTrials;
    }

    /**
     * One pair on one metric, unadjusted; over a trial, or over all blocks at a campsite. Where the two were tried in a
     * planned trial there, that trial is what they are judged by.
     */
    Comparison compare(
            String baseline, String candidate, Figure metric, Optional<String> campsite, Optional<String> trial) {
        setups.of(baseline);
        setups.of(candidate);
        refuseOne(baseline, candidate);
        long place = place(campsite, trial);
        PastTrials.Reading trials = pastTrials.read();
        List<LoggedMeasurement> made;
        Optional<PastTrials.Key> judgedBy;
        if (trial.isPresent()) {
            PastTrials.Key key = new PastTrials.Key(place, trial.get());
            made = trials.measurements(key);
            if (made.isEmpty()) {
                throw new NotFoundException("no trial is named " + Text.quote(trial.get()) + " there");
            }
            judgedBy = Optional.of(key);
        } else {
            made = measurements.list(Selection.at(place));
            judgedBy = trials.plannedAmong(made, place, List.of(baseline, candidate));
            made = judgedBy.map(trials::measurements).orElse(made);
        }
        return new Comparer(
                        metric,
                        Measurements.samples(made, metric),
                        judgedBy.flatMap(key -> trials.plan(key, metric)),
                        trials.capped(made, metric))
                .pair(baseline, candidate);
    }

    /** A setup is not compared with itself. */
    static void refuseOne(String baseline, String candidate) {
        if (baseline.equals(candidate)) {
            throw new InvalidInputException(
                    "candidate", "baseline and candidate are both " + Text.quote(baseline) + "; name two setups");
        }
    }

    private long place(Optional<String> campsite, Optional<String> trial) {
        if (campsite.isPresent()) {
            return campsites.of(campsite.get()).id();
        }
        if (trial.isPresent()) {
            return onlyCampsiteOf(trial.get());
        }
        throw new InvalidInputException(
                "campsite", "campsite is missing; name a campsite, or a trial whose name is unique");
    }

    private long onlyCampsiteOf(String trial) {
        List<TrialSpan> found = measurements.trials().stream()
                .filter(t -> t.name().equals(trial))
                .toList();
        if (found.isEmpty()) {
            throw new NotFoundException("no trial is named " + Text.quote(trial));
        }
        if (found.size() > 1) {
            throw new InvalidInputException(
                    "trial",
                    "trial " + Text.quote(trial) + " was held at "
                            + found.stream().map(TrialSpan::campsite).collect(Collectors.joining(", "))
                            + "; name the campsite too");
        }
        return found.get(0).campsiteId();
    }
}

package syntoma.app.trial;

import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.instrument.LoggedRuns;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;

/** Every run of a trial, with its samples where Syntoma made it. */
@Service
@Transactional(readOnly = true)
class TrialRuns {
    private final Campsites campsites;
    private final Measurements measurements;
    private final Setups setups;
    private final LoggedRuns runs;

    TrialRuns(Campsites campsites, Measurements measurements, Setups setups, LoggedRuns runs) {
        this.campsites = campsites;
        this.measurements = measurements;
        this.setups = setups;
        this.runs = runs;
    }

    /**
     * A run.
     *
     * @param rates none where it was not made by Syntoma
     */
    record TrialRun(
            long measurement,
            OffsetDateTime takenAt,
            @Nullable Integer round,
            SetupName setup,
            @Nullable String carrier,
            String outcome,
            @Nullable BigDecimal downMbps,
            @Nullable BigDecimal upMbps,
            List<LoggedRuns.Rate> rates) {}

    /** Those of a trial, in the order of time. */
    List<TrialRun> of(String campsite, String trial) {
        List<LoggedMeasurement> made =
                measurements.list(Selection.at(campsites.of(campsite).id()).ofTrial(trial));
        Map<String, SetupName> names =
                setups.all().stream().collect(Collectors.toMap(SetupName::name, Function.identity()));
        Map<Long, List<LoggedRuns.Rate>> rates =
                runs.rates(made.stream().map(LoggedMeasurement::id).toList());
        return made.stream()
                .map(m -> new TrialRun(
                        m.id(),
                        m.takenAt(),
                        m.round(),
                        names.get(m.setup()),
                        m.carrier(),
                        m.outcome(),
                        m.value(Figure.DOWN_MBPS),
                        m.value(Figure.UP_MBPS),
                        rates.getOrDefault(m.id(), List.of())))
                .toList();
    }
}

package syntoma.app.pitch;

import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StandingService;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.reference.Ladder;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.app.trial.Results;
import syntoma.core.reading.Figure;
import syntoma.core.reading.RadioMetric;

/** Puts together what the Pitch view shows. */
@Service
@Transactional(readOnly = true)
class PitchService {
    private static final int HOURS = (int) Results.LATELY.toHours();

    private static final int LAST_READINGS = 6;

    private final StandingService standing;
    private final Campsites campsites;
    private final Setups setups;
    private final Measurements measurements;
    private final Results results;

    PitchService(
            StandingService standing, Campsites campsites, Setups setups, Measurements measurements, Results results) {
        this.standing = standing;
        this.campsites = campsites;
        this.setups = setups;
        this.measurements = measurements;
        this.results = results;
    }

    PitchView view() {
        StandingService.StandingLine line = standing.line();
        if (line.stay() == null || line.campsite() == null) {
            return new PitchView(
                    line,
                    "Say where you stand, and log what you measure here.",
                    HOURS,
                    List.of(),
                    null,
                    List.of(),
                    List.of(),
                    null);
        }
        long campsite = campsites.of(line.campsite()).id();
        List<LoggedMeasurement> everHere = measurements.list(Selection.at(campsite));
        List<LoggedMeasurement> stay =
                everHere.stream().filter(m -> line.stay().equals(m.stay())).toList();
        OffsetDateTime since = line.now().minusHours(HOURS);
        List<LoggedMeasurement> lately =
                stay.stream().filter(m -> !m.takenAt().isBefore(since)).toList();
        Map<String, SetupName> named = setups.all().stream().collect(Collectors.toMap(SetupName::name, s -> s));
        Optional<Results.LatestTrial> tonight = results.lately(
                line.campsite(), lately, Optional.ofNullable(line.setup()).map(SetupName::name));
        return new PitchView(
                line,
                headline(stay, tonight),
                HOURS,
                options(lately.isEmpty() ? stay : lately, named),
                latestReading(stay, everHere, named),
                stay,
                metrics(stay),
                tonight.map(Results.LatestTrial::view).orElse(null));
    }

    private static List<String> metrics(List<LoggedMeasurement> runs) {
        Predicate<Figure> measured = figure -> runs.stream().anyMatch(m -> m.hasSucceeded() && m.value(figure) != null);
        return Figure.comparedFigures(measured).stream()
                .filter(measured)
                .map(Figure::field)
                .toList();
    }

    private static String headline(List<LoggedMeasurement> stay, Optional<Results.LatestTrial> tonight) {
        if (tonight.isPresent()) {
            return tonight.get().headline();
        }
        return stay.isEmpty()
                ? "Nothing measured here yet. Log a reading and a speed run for the setup in use."
                : "Nothing measured here lately. Log a reading and a speed run for the setup in use.";
    }

    private static List<PitchView.Option> options(List<LoggedMeasurement> measurements, Map<String, SetupName> setups) {
        Map<String, List<LoggedMeasurement>> bySetup =
                measurements.stream().collect(Collectors.groupingBy(LoggedMeasurement::setup));
        List<PitchView.Option> options = new ArrayList<>();
        bySetup.forEach((name, runs) -> {
            LoggedMeasurement last = runs.get(runs.size() - 1);
            int failed = (int) runs.stream().filter(m -> !m.hasSucceeded()).count();
            options.add(new PitchView.Option(
                    setups.get(name),
                    last.carrier(),
                    last.band(),
                    last.takenAt(),
                    runs.size(),
                    failed,
                    spread(runs, Figure.UP_MBPS),
                    spread(runs, Figure.DOWN_MBPS)));
        });
        options.sort((a, b) -> Double.compare(middle(b), middle(a)));
        return options;
    }

    private static double middle(PitchView.Option option) {
        return option.up() == null ? 0 : option.up().median();
    }

    private static PitchView.LatestReading latestReading(
            List<LoggedMeasurement> stay, List<LoggedMeasurement> everHere, Map<String, SetupName> setups) {
        List<LoggedMeasurement> readings =
                stay.stream().filter(m -> m.value(Figure.RSRP_DBM) != null).toList();
        if (readings.isEmpty()) {
            return null;
        }
        LoggedMeasurement last = readings.get(readings.size() - 1);
        List<LoggedMeasurement> alike =
                readings.stream().filter(m -> isLike(m, last)).toList();
        List<LoggedMeasurement> recent = alike.subList(Math.max(0, alike.size() - LAST_READINGS), alike.size());
        List<LoggedMeasurement> earlier = everHere.stream()
                .filter(m -> !Objects.equals(m.stay(), last.stay()) && isLike(m, last))
                .toList();
        List<Ladder> strips = new ArrayList<>();
        for (Figure figure : Figure.graded()) {
            RadioMetric metric = figure.measure().radio().orElseThrow();
            BigDecimal value = last.value(figure);
            if (value != null) {
                Ladder.Spread usual = spread(earlier, figure);
                strips.add(Ladder.of(metric, value, spread(recent, figure), usual == null ? null : usual.median()));
            }
        }
        return new PitchView.LatestReading(last, setups.get(last.setup()), strips);
    }

    private static boolean isLike(LoggedMeasurement m, LoggedMeasurement last) {
        return m.setup().equals(last.setup())
                && Objects.equals(m.carrier(), last.carrier())
                && Objects.equals(m.band(), last.band());
    }

    @Nullable
    private static Ladder.Spread spread(List<LoggedMeasurement> runs, Figure figure) {
        double[] values = runs.stream()
                .filter(m -> m.hasSucceeded() && m.value(figure) != null)
                .mapToDouble(m -> m.value(figure).doubleValue())
                .toArray();
        return values.length == 0 ? null : Ladder.Spread.of(values);
    }
}

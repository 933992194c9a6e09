package syntoma.app.trial;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.measurement.TrialSpan;
import syntoma.core.design.Noise;
import syntoma.core.design.Question;
import syntoma.core.reading.Figure;

/** What the log lets one expect of a trial: how much figures scatter, and what each contender brings. */
@Component
class ExpectedRates {
    /** Where nothing was measured: what cellular links outside towns usually bring. */
    private static final Question.Rates USUAL = Question.Rates.of(20, 5, false);

    /** The latest trials tell more than older ones. */
    private static final int MOST_TRIALS = 20;

    /** Of the contenders together; the latest count. */
    private static final int MOST_MEASUREMENTS = 2_000;

    private final Measurements measurements;

    ExpectedRates(Measurements measurements) {
        this.measurements = measurements;
    }

    /** How a speed or latency scatters, as is usual and in the rounds of the latest trials. */
    Noise.Scatter scatter(Figure metric) {
        return Noise.of(measurements.trials().stream()
                .limit(MOST_TRIALS)
                .map(trial -> rounds(trial, metric))
                .toList());
    }

    private List<Noise.Round> rounds(TrialSpan trial, Figure metric) {
        Map<Integer, Map<String, List<Double>>> rounds = new LinkedHashMap<>();
        for (LoggedMeasurement m :
                measurements.list(Selection.at(trial.campsiteId()).ofTrial(trial.name()))) {
            BigDecimal value = m.value(metric);
            if (m.hasSucceeded() && m.round() != null && value != null) {
                rounds.computeIfAbsent(m.round(), round -> new LinkedHashMap<>())
                        .computeIfAbsent(m.setup() + " on " + m.carrier(), name -> new ArrayList<>())
                        .add(Math.log(value.doubleValue()));
            }
        }
        return rounds.values().stream().map(Noise.Round::new).toList();
    }

    /** The latest measurements of setups, for {@link #rates}. */
    List<LoggedMeasurement> latest(List<String> setups) {
        return measurements.list(
                new Selection(Optional.empty(), Optional.empty(), Optional.empty(), setups, MOST_MEASUREMENTS));
    }

    /**
     * What a setup is expected to bring on a carrier: its median at the campsite, else wherever it was on that carrier, else what
     * is usual. How often it failed is told of the same runs.
     */
    static Question.Rates rates(
            List<LoggedMeasurement> latest, String setup, @Nullable String carrier, @Nullable String campsite) {
        List<LoggedMeasurement> own = latest.stream()
                .filter(m -> m.setup().equals(setup) && Objects.equals(m.carrier(), carrier))
                .toList();
        List<LoggedMeasurement> here =
                own.stream().filter(m -> m.campsite().equals(campsite)).toList();
        return rates(here).or(() -> rates(own)).orElseGet(() -> withFailures(USUAL, own));
    }

    private static Optional<Question.Rates> rates(List<LoggedMeasurement> measured) {
        Optional<Double> down = median(measured, Figure.DOWN_MBPS);
        Optional<Double> up = median(measured, Figure.UP_MBPS);
        return down.isEmpty() && up.isEmpty()
                ? Optional.empty()
                : Optional.of(withFailures(
                        Question.Rates.of(down.orElse(USUAL.downMbps()), up.orElse(USUAL.upMbps()), true), measured));
    }

    private static Question.Rates withFailures(Question.Rates rates, List<LoggedMeasurement> measured) {
        int failed = (int) measured.stream().filter(m -> !m.hasSucceeded()).count();
        int tried = failed
                + (int) measured.stream()
                        .filter(m -> m.hasSucceeded()
                                && (m.value(Figure.DOWN_MBPS) != null || m.value(Figure.UP_MBPS) != null))
                        .count();
        return new Question.Rates(rates.downMbps(), rates.upMbps(), rates.isKnown(), failed, tried);
    }

    private static Optional<Double> median(List<LoggedMeasurement> measured, Figure figure) {
        List<Double> values = measured.stream()
                .filter(LoggedMeasurement::hasSucceeded)
                .map(m -> m.value(figure))
                .filter(Objects::nonNull)
                .map(BigDecimal::doubleValue)
                .sorted()
                .toList();
        return values.isEmpty() ? Optional.empty() : Optional.of(values.get(values.size() / 2));
    }
}

package syntoma.app.measurement;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Outcome;

/**
 * A measurement as it is shown.
 *
 * @param numbers by their fields, each a field of the answer; they keep the digits they were written in, and are null when
 *     missing
 * @param version how often it was corrected
 */
public record LoggedMeasurement(
        long id,
        OffsetDateTime takenAt,
        String campsite,
        @Nullable Long stay,
        String setup,
        @Nullable String carrier,
        @Nullable String rat,
        @Nullable String band,
        @Nullable Integer arfcn,
        @Nullable String cellId,
        @JsonAnyGetter Map<String, BigDecimal> numbers,
        @Nullable String server,
        @Schema(allowableValues = {"ok", "no_service", "failed", "timed_out"}) String outcome,
        @Nullable String trial,
        @Nullable Integer round,
        @Nullable String note,
        int version) {

    static LoggedMeasurement of(Measurement m, String campsite, Long stay, String setup, String carrier, int version) {
        return new LoggedMeasurement(
                m.id,
                m.takenAt,
                campsite,
                stay,
                setup,
                carrier,
                m.rat,
                m.band,
                m.arfcn,
                m.cellId,
                numbers(m),
                m.server,
                m.outcome,
                m.trial,
                m.round,
                m.note,
                version);
    }

    private static Map<String, BigDecimal> numbers(Measurement m) {
        Map<String, BigDecimal> numbers = new LinkedHashMap<>();
        for (Figure figure : Figure.numbers()) {
            Double value = m.number(figure);
            numbers.put(figure.field(), value == null ? null : new BigDecimal(Numbers.text(figure, value, m.digits)));
        }
        return numbers;
    }

    /** The same with its setup called otherwise. */
    public LoggedMeasurement withSetupName(String name) {
        return new LoggedMeasurement(
                id, takenAt, campsite, stay, name, carrier, rat, band, arfcn, cellId, numbers, server, outcome, trial,
                round, note, version);
    }

    /** Whether it is a measurement that came about. */
    public boolean hasSucceeded() {
        return outcome.equals(Outcome.OK.label());
    }

    /** The value of a number; empty when missing. */
    public OptionalDouble number(Figure figure) {
        BigDecimal value = value(figure);
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value.doubleValue());
    }

    /** The higher of the latencies under load; empty where none was measured. */
    public OptionalDouble loadedMs() {
        OptionalDouble down = number(Figure.DOWN_LOADED_MS);
        OptionalDouble up = number(Figure.UP_LOADED_MS);
        return down.isEmpty() || up.isPresent() && up.getAsDouble() > down.getAsDouble() ? up : down;
    }

    /** The value of a number, null when missing. */
    @Nullable
    public BigDecimal value(Figure figure) {
        return numbers.get(figure.field());
    }
}

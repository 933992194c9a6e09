package syntoma.app.measurement;

import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/**
 * A measurement that passed every rule and is not stored yet. Missing texts are empty.
 *
 * @param texts the figures that are text and nothing else, each of them
 */
public record NewMeasurement(
        OffsetDateTime takenAt,
        String campsite,
        String lat,
        String lon,
        String setup,
        String carrier,
        Optional<Rat> rat,
        String band,
        OptionalInt arfcn,
        Numbers numbers,
        Map<Figure, String> texts,
        Outcome outcome,
        String trial,
        OptionalInt round) {}

package syntoma.app.measurement;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.OptionalInt;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/** A measurement that passed every rule and is not stored yet. Missing texts are empty. */
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
        String cellId,
        Numbers numbers,
        String server,
        Outcome outcome,
        String trial,
        OptionalInt round,
        String note) {}

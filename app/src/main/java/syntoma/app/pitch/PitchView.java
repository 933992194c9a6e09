package syntoma.app.pitch;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.campsite.StandingService;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.reference.Ladder;
import syntoma.app.setup.SetupName;
import syntoma.app.trial.ResultView;

/**
 * Where the vehicle stands, what was heard last, and what the setups measured lately.
 *
 * @param hours how far back lately reaches
 * @param metrics the fields of the metrics that the runs have, in the order in which they matter to most
 * @param tonight the setups compared over that time; null with fewer than two
 */
record PitchView(
        StandingService.StandingLine standing,
        String headline,
        int hours,
        List<Option> options,
        @Nullable LatestReading heard,
        List<LoggedMeasurement> runs,
        List<String> metrics,
        @Nullable ResultView tonight) {

    /** One setup lately; speeds in Mb/s. */
    record Option(
            SetupName setup,
            @Nullable String carrier,
            @Nullable String band,
            OffsetDateTime lastAt,
            int runs,
            int failed,
            @Nullable Ladder.Spread up,
            @Nullable Ladder.Spread down) {}

    /** The last reading. */
    record LatestReading(LoggedMeasurement measurement, SetupName setup, List<Ladder> strips) {}
}

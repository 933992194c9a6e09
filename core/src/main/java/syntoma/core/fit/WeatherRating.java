package syntoma.core.fit;

import java.util.List;

/** An antenna outside must keep out driving rain and spray from the road. */
final class WeatherRating implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.chain().antennas().stream()
                .filter(run -> !run.placement().isBehindShell())
                .filter(run ->
                        run.antenna().rating().filter(r -> r.leaksInRain()).isPresent())
                .map(run -> FitFinding.caution(
                        "weather-rating",
                        run.antenna().name(),
                        run.antenna().name() + " is rated "
                                + run.antenna().rating().orElseThrow().code()
                                + ": that is not enough for driving rain on the "
                                + run.placement().label() + ".",
                        "Outside, choose an antenna rated IP65 or higher, or use this one at a window."))
                .toList();
    }
}

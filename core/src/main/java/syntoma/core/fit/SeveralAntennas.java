package syntoma.core.fit;

import java.util.List;
import java.util.stream.Collectors;
import syntoma.core.band.Band;

/** Streams from antennas side by side count, when they stand apart. */
final class SeveralAntennas implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        List<String> antennas = fit.cellular().stream()
                .map(c -> c.lead().run().antenna().name())
                .distinct()
                .toList();
        if (antennas.size() < 2) {
            return List.of();
        }
        String shared = fit.reach().working().stream()
                .filter(band -> fit.passing(band).stream()
                                .map(c -> c.lead().run().key())
                                .distinct()
                                .count()
                        > 1)
                .map(Band::name)
                .collect(Collectors.joining(", "));
        return shared.isEmpty()
                ? List.of()
                : List.of(FitFinding.note(
                        "several-antennas",
                        String.join(", ", antennas),
                        "On " + shared + " leads of more than one antenna count as streams.",
                        "They count as streams; pointing different ways costs some of the gain."));
    }
}

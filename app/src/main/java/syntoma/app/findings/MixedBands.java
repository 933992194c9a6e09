package syntoma.app.findings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import syntoma.core.finding.Finding;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Blocks;
import syntoma.core.unit.Text;

/** Says when levels were compared over different bands, which lets the antennas differ by more than themselves. */
final class MixedBands {
    private MixedBands() {}

    static Optional<Finding.Remark> remark(FindingsService.FindingsAnswer found) {
        Optional<Figure> radio = found.query().criterion().metric().filter(m -> m.measure()
                .radio()
                .isPresent());
        if (radio.isEmpty()
                || found.query().of() == ComparedKind.BANDS
                || found.finding().isEmpty()) {
            return Optional.empty();
        }
        TripSelection trip = found.selection().trip();
        Map<Integer, List<Integer>> bands = new HashMap<>();
        int[] numbers = Blocks.numbers(trip, trip::counts, (first, window) -> {});
        for (int i = 0; i < numbers.length; i++) {
            int band = found.selection().log().columns().band(trip.places()[i]);
            if (numbers[i] != TripSelection.NONE && trip.counts(i) && band != Columns.NONE) {
                List<Integer> here = bands.computeIfAbsent(numbers[i], b -> new ArrayList<>(1));
                if (!here.contains(band)) {
                    here.add(band);
                }
            }
        }
        int mixed = (int) bands.values().stream().filter(b -> b.size() > 1).count();
        return mixed == 0
                ? Optional.empty()
                : Optional.of(new Finding.Remark(
                        "bands-differ",
                        "In " + Text.count(mixed, "block") + " different bands were in use, so that a difference in "
                                + found.query().criterion().words()
                                + " is due to the bands too. Choose one band to compare only the antennas.",
                        List.of()));
    }
}

package syntoma.core.diagnosis;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** Another band measured better here with the same setup and carrier. */
final class WrongBand implements Rule {
    private static final int FEWEST = 2;
    private static final double BETTER = 1.5;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> lately =
                s.lately().stream().filter(l -> !l.band().isEmpty()).toList();
        if (lately.isEmpty()) {
            return Optional.empty();
        }
        String held = lately.get(lately.size() - 1).band();
        Map<String, List<ObservedRun>> byBand = s
                .runsHere(o -> s.isInUse(o)
                        && o.hasSucceeded()
                        && !o.band().isEmpty()
                        && o.upMbps().isPresent()
                        && o.downMbps().isPresent())
                .stream()
                .collect(Collectors.groupingBy(ObservedRun::band));
        List<ObservedRun> now = byBand.getOrDefault(held, List.of());
        if (now.size() < FEWEST) {
            return Optional.empty();
        }
        double down = Situation.median(now, ObservedRun::downMbps).getAsDouble();
        double up = Situation.median(now, ObservedRun::upMbps).getAsDouble();
        return byBand.entrySet().stream()
                .filter(e -> !e.getKey().equals(held) && e.getValue().size() >= FEWEST)
                .filter(e -> {
                    OptionalDouble otherDown = Situation.median(e.getValue(), ObservedRun::downMbps);
                    OptionalDouble otherUp = Situation.median(e.getValue(), ObservedRun::upMbps);
                    double ofDown = otherDown.getAsDouble() / down;
                    double ofUp = otherUp.getAsDouble() / up;
                    return Math.max(ofDown, ofUp) >= BETTER && Math.min(ofDown, ofUp) >= 1 / 1.1;
                })
                .findFirst()
                .map(e -> new Claim(
                        Cause.WRONG_BAND,
                        Math.min(now.size(), e.getValue().size()) > 3 ? Sure.LIKELY : Sure.PERHAPS,
                        "Another band did better here: " + e.getKey() + ".",
                        List.of(
                                held + ": " + speeds(down, up) + " over " + now.size() + " runs",
                                e.getKey() + ": "
                                        + speeds(
                                                Situation.median(e.getValue(), ObservedRun::downMbps)
                                                        .getAsDouble(),
                                                Situation.median(e.getValue(), ObservedRun::upMbps)
                                                        .getAsDouble())
                                        + " over " + e.getValue().size() + " runs, the last on "
                                        + EvidenceText.day(e.getValue()
                                                .get(e.getValue().size() - 1)
                                                .at())),
                        "Lock " + e.getKey() + " for now, and unlock the bands when you leave."));
    }

    private static String speeds(double down, double up) {
        return EvidenceText.mbps(down) + " down, " + EvidenceText.mbps(up) + " up";
    }
}

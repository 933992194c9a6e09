package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.inference.TTest;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;
import syntoma.core.unit.Values;

/**
 * Others take the cell: a clean signal that brings less than a quarter of what it could (docs/methods.md#11-diagnosis), or evenings that are
 * slower than mornings at the same level.
 */
final class BusyCell implements Rule {
    private static final int EVENING = 17;
    private static final int LATE = 23;
    private static final int MORNING_FROM = 5;
    private static final int MORNING_TO = 12;
    private static final int FEWEST = 3;
    private static final double SLOWER = 1.5;
    private static final double LEVEL_DB = 4;
    private static final double P = 0.05;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> lately = s.lately();
        boolean low = CleanAndSlow.is(lately, s);
        Optional<String> evenings = evenings(s);
        boolean nowLate = isEvening(s.now().getHour());
        if (!low && !(evenings.isPresent() && nowLate)) {
            return Optional.empty();
        }
        List<String> evidence = new ArrayList<>();
        if (low) {
            double sinr = Situation.median(lately, ObservedRun::sinrDb).orElseThrow();
            evidence.add(
                    "download "
                            + EvidenceText.mbps(Situation.median(lately, ObservedRun::downMbps)
                                    .orElseThrow()) + " where SINR " + EvidenceText.db(sinr)
                            + " would carry at least " + EvidenceText.mbps(CleanAndSlow.ceilingMbps(s, sinr)) + ", "
                            + EvidenceText.over(lately, "run"));
        }
        evenings.ifPresent(evidence::add);
        return Optional.of(new Claim(
                Cause.BUSY_CELL,
                low && evenings.isPresent()
                        ? Sure.SURELY
                        : evenings.isPresent() || Situation.count(lately, ObservedRun::downMbps) >= FEWEST
                                ? Sure.LIKELY
                                : Sure.PERHAPS,
                "The cell is busy with others" + (evenings.isPresent() ? " in the evenings" : "") + ".",
                evidence,
                "Do what can wait at night or early in the morning; for now, try another band or carrier."));
    }

    private static boolean isEvening(int hour) {
        return hour >= EVENING && hour < LATE;
    }

    /** What is to be said where evenings are slower than mornings with the setup in use here, at about the same level. */
    private static Optional<String> evenings(Situation s) {
        List<ObservedRun> own =
                s.runsHere(o -> s.isInUse(o) && o.hasSucceeded() && o.downMbps().isPresent());
        List<ObservedRun> evening =
                own.stream().filter(o -> isEvening(o.at().getHour())).toList();
        List<ObservedRun> morning = own.stream()
                .filter(o -> o.at().getHour() >= MORNING_FROM && o.at().getHour() < MORNING_TO)
                .toList();
        if (evening.size() < FEWEST || morning.size() < FEWEST) {
            return Optional.empty();
        }
        OptionalDouble late = Situation.median(evening, ObservedRun::rsrpDbm);
        OptionalDouble early = Situation.median(morning, ObservedRun::rsrpDbm);
        boolean alike =
                late.isEmpty() || early.isEmpty() || Math.abs(late.getAsDouble() - early.getAsDouble()) <= LEVEL_DB;
        double[] e = logs(evening);
        double[] m = logs(morning);
        double slower = Math.exp(mean(m) - mean(e));
        if (!alike || slower < SLOWER || new TTest().tTest(m, e) >= P) {
            return Optional.empty();
        }
        return Optional.of("evenings here are slower than mornings by ×" + Values.round(slower, 1)
                + " at the same level (" + evening.size() + " and " + morning.size() + " runs with " + s.setup() + ")");
    }

    private static double[] logs(List<ObservedRun> runs) {
        return runs.stream()
                .mapToDouble(r -> Math.log(r.downMbps().getAsDouble()))
                .toArray();
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }
}

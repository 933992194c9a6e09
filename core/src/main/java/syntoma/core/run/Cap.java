package syntoma.core.run;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The rate at which a plan or the network holds a SIM in one direction. It is claimed where at least three flat runs agree within
 * 3 % although what the antenna has to do with changed: across two setups, two stays, or an SINR that differs by 5 dB.
 *
 * @param mbps the middle of the runs that agree
 * @param lowMbps the slowest of them
 * @param highMbps the fastest of them
 */
public record Cap(double mbps, double lowMbps, double highMbps) {
    private static final int LEAST = 3;
    private static final double AGREE = 1.03;
    private static final double OTHER_SINR_DB = 5;

    /**
     * A flat run of one SIM in one direction.
     *
     * @param setup what it was measured with
     * @param stay where, and on which visit
     * @param sinrDb of the reading beside it
     */
    public record FlatRun(double mbps, String setup, long stay, OptionalDouble sinrDb) {}

    /** The cap that flat runs of one SIM and direction show; of several the one that most runs show. */
    public static Optional<Cap> of(List<FlatRun> runs) {
        List<FlatRun> sorted =
                runs.stream().sorted(Comparator.comparingDouble(FlatRun::mbps)).toList();
        List<FlatRun> best = List.of();
        for (int from = 0; from < sorted.size(); from++) {
            int to = from;
            while (to < sorted.size()
                    && sorted.get(to).mbps() <= sorted.get(from).mbps() * AGREE) {
                to++;
            }
            List<FlatRun> agree = sorted.subList(from, to);
            if (agree.size() >= LEAST && agree.size() > best.size() && isWhateverTheAntenna(agree)) {
                best = agree;
            }
        }
        if (best.isEmpty()) {
            return Optional.empty();
        }
        int n = best.size();
        double middle = (best.get((n - 1) / 2).mbps() + best.get(n / 2).mbps()) / 2;
        return Optional.of(new Cap(middle, best.get(0).mbps(), best.get(n - 1).mbps()));
    }

    private static boolean isWhateverTheAntenna(List<FlatRun> runs) {
        double lowest =
                runs.stream().flatMapToDouble(r -> r.sinrDb().stream()).min().orElse(0);
        double highest =
                runs.stream().flatMapToDouble(r -> r.sinrDb().stream()).max().orElse(0);
        return runs.stream().map(FlatRun::setup).distinct().count() > 1
                || runs.stream().mapToLong(FlatRun::stay).distinct().count() > 1
                || highest - lowest >= OTHER_SINR_DB;
    }

    /** Whether a flat run of the rate is one that it holds. */
    public boolean holds(double flatMbps) {
        return flatMbps >= lowMbps && flatMbps <= highMbps;
    }
}

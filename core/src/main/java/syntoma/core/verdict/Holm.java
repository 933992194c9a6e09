package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Holm's step-down adjustment of p-values for several comparisons (Holm 1979). */
public final class Holm {
    private Holm() {}

    /** Adjusted p-values in the order given: .01 .04 .03 become .03 .06 .06. */
    public static List<Double> adjust(List<Double> p) {
        int m = p.size();
        List<Integer> order = IntStream.range(0, m)
                .boxed()
                .sorted(Comparator.comparing(p::get))
                .toList();
        Double[] adjusted = new Double[m];
        double running = 0;
        for (int rank = 0; rank < m; rank++) {
            running = Math.max(running, Math.min(1, (m - rank) * p.get(order.get(rank))));
            adjusted[order.get(rank)] = running;
        }
        return new ArrayList<>(Arrays.asList(adjusted));
    }
}

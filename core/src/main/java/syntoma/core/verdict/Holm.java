package syntoma.core.verdict;

import java.util.List;

/**
 * Holm's step-down adjustment for several comparisons (Holm 1979): the smallest p-value is compared with level / m, the next
 * against level / (m − 1), and so on, until one does not hold.
 */
final class Holm {
    private Holm() {}

    /**
     * What one p-value must lie under to be decided, the others being as they are: level / (m − j), where j of the others
     * are decided before it.
     *
     * @param others the p-values of the rest of the family
     */
    static double threshold(List<Double> others, double level) {
        List<Double> sorted = others.stream().sorted().toList();
        int m = sorted.size() + 1;
        int decided = 0;
        while (decided < sorted.size() && sorted.get(decided) < level / (m - decided)) {
            decided++;
        }
        return level / (m - decided);
    }
}

package syntoma.core.verdict;

import java.util.Arrays;

/**
 * Median of the pairwise means, each value with itself included (Hodges and Lehmann 1963). The n(n + 1)/2 means are not
 * formed: for a trial value those at or below it are counted in one pass over the sorted values, and the value is bisected
 * to the last bit.
 */
final class HodgesLehmann {
    private HodgesLehmann() {}

    static double of(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        long means = (long) sorted.length * (sorted.length + 1) / 2;
        double lower = ranked(sorted, (means + 1) / 2);
        return means % 2 == 1 ? lower : (lower + ranked(sorted, means / 2 + 1)) / 2;
    }

    /** The mean that stands at a rank, counted from 1: the least number with so many means at or below it. */
    private static double ranked(double[] sorted, long rank) {
        double low = sorted[0];
        double high = sorted[sorted.length - 1];
        if (atMost(sorted, low) >= rank) {
            return low;
        }
        for (double middle = low + (high - low) / 2; middle > low && middle < high; middle = low + (high - low) / 2) {
            if (atMost(sorted, middle) >= rank) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private static long atMost(double[] sorted, double mean) {
        long count = 0;
        int right = sorted.length - 1;
        for (int left = 0; left < sorted.length; left++) {
            while (right >= left && (sorted[left] + sorted[right]) / 2 > mean) {
                right--;
            }
            if (right < left) {
                break;
            }
            count += right - left + 1;
        }
        return count;
    }
}

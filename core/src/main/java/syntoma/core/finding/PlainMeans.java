package syntoma.core.finding;

/** Arithmetic means over all ok runs, for those who ask for them. */
final class PlainMeans {
    private final int[] runs;
    private final int[] failed;
    private final double[] sums;

    private PlainMeans(int units) {
        runs = new int[units];
        failed = new int[units];
        sums = new double[units];
    }

    static PlainMeans of(Trip trip, Criterion criterion, int units) {
        PlainMeans plain = new PlainMeans(units);
        for (int i = 0; i < trip.size(); i++) {
            if (trip.counts(i)) {
                plain.runs[trip.unit(i)]++;
                plain.sums[trip.unit(i)] += trip.value(i);
            } else if (!trip.hasSucceeded(i)) {
                plain.failed[trip.unit(i)]++;
            }
        }
        return plain;
    }

    int runs(int unit) {
        return runs[unit];
    }

    int failed(int unit) {
        return failed[unit];
    }

    /** Of a unit with one run or more. */
    double mean(int unit) {
        return sums[unit] / runs[unit];
    }
}

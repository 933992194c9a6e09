package syntoma.core.verdict;

import java.util.Random;

/** Standard normal noise drawn once from a fixed seed: for each path, and each number of draws up to 20, what they come to. */
final class NormalPaths {
    /** Chosen, because with it a chance is known to half a percent. */
    static final int COUNT = 20_000;

    private static final long SEED = 20_260_704L;

    /** By the number of draws and the path: their sum. */
    static final float[][] SUM = new float[InterimLooks.MOST + 1][COUNT];
    /** Their mean, from three draws on. */
    static final float[][] MEAN = new float[InterimLooks.MOST + 1][COUNT];
    /** The standard error of that mean. */
    static final float[][] ERROR = new float[InterimLooks.MOST + 1][COUNT];

    /** Two more draws of each path, for an effect and its standard deviation. */
    static final float[] EFFECT = new float[COUNT];

    static final float[] SPREAD = new float[COUNT];

    static {
        Random random = new Random(SEED);
        for (int path = 0; path < COUNT; path++) {
            double sum = 0;
            double squares = 0;
            for (int n = 1; n <= InterimLooks.MOST; n++) {
                double z = random.nextGaussian();
                sum += z;
                squares += z * z;
                SUM[n][path] = (float) sum;
                if (n >= InterimLooks.FEWEST) {
                    double mean = sum / n;
                    MEAN[n][path] = (float) mean;
                    ERROR[n][path] = (float) Math.sqrt((squares - n * mean * mean) / (n - 1) / n);
                }
            }
        }
        for (int path = 0; path < COUNT; path++) {
            EFFECT[path] = (float) random.nextGaussian();
            SPREAD[path] = (float) random.nextGaussian();
        }
    }

    private NormalPaths() {}
}

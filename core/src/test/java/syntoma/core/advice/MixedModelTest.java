package syntoma.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;

/** The mixed model against the same posterior written down in full, as one normal distribution. */
class MixedModelTest {
    private static final Spreads SPREADS = new Spreads(0.3, 0.1, 0.05, 0.04, 0.02, 0.09);
    private static final MixedModel.Prior PRIOR =
            new MixedModel.Prior(new double[] {1, 0, 0.2}, new double[] {1, 0.25, 0.5});

    private static Cell cell(long campsite, long stay, int setup, DayPart part, double mean, double runs, double x) {
        return new Cell(
                new Cell.Place(campsite, 0),
                stay,
                setup,
                part,
                mean,
                runs,
                new int[] {0, 1 + setup % 2},
                new double[] {1, x},
                stay);
    }

    private static List<Cell> drawn(Random random) {
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            long stay = random.nextInt(8);
            cells.add(cell(
                    stay / 3,
                    stay,
                    random.nextInt(3),
                    DayPart.values()[random.nextInt(3)],
                    2 + random.nextGaussian(),
                    1 + random.nextInt(4),
                    random.nextGaussian()));
        }
        return cells;
    }

    /** What two cells have in common; each place counts setups and parts of the day as scatter, as the model says automatically. */
    private static double shared(Cell a, Cell b) {
        if (!a.site().equals(b.site())) {
            return 0;
        }
        return SPREADS.site() + (a.stay() == b.stay() ? SPREADS.stay() : 0) + (a == b ? SPREADS.ofCell(a.runs()) : 0);
    }

    private static double inColumns(Cell a, Cell b) {
        double sum = 0;
        for (int i = 0; i < a.columns().length; i++) {
            for (int j = 0; j < b.columns().length; j++) {
                if (a.columns()[i] == b.columns()[j]) {
                    sum += a.values()[i] * b.values()[j] * PRIOR.variances()[a.columns()[i]];
                }
            }
        }
        return sum;
    }

    private static double prior(Cell cell) {
        double sum = 0;
        for (int i = 0; i < cell.columns().length; i++) {
            sum += cell.values()[i] * PRIOR.means()[cell.columns()[i]];
        }
        return sum;
    }

    @Test
    void columns_and_places_come_out_as_in_the_whole_posterior() {
        for (int seed = 0; seed < 20; seed++) {
            List<Cell> cells = drawn(new Random(seed));
            Cell elsewhere = cell(99, 99, 1, DayPart.DAY, 0, 1, 0.7);
            int n = cells.size();
            RealMatrix all = new Array2DRowRealMatrix(n, n);
            RealVector with = new ArrayRealVector(n);
            RealVector off = new ArrayRealVector(n);
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    all.setEntry(i, j, shared(cells.get(i), cells.get(j)) + inColumns(cells.get(i), cells.get(j)));
                }
                with.setEntry(i, inColumns(cells.get(i), elsewhere));
                off.setEntry(i, cells.get(i).mean() - prior(cells.get(i)));
            }
            RealVector weights = new LUDecomposition(all).getSolver().solve(with);
            double mean = prior(elsewhere) + weights.dotProduct(off);
            double variance = inColumns(elsewhere, elsewhere)
                    - weights.dotProduct(with)
                    + SPREADS.site()
                    + SPREADS.stay()
                    + SPREADS.setupHere()
                    + SPREADS.partOfDay()
                    + SPREADS.visit();
            MixedModel.Prediction found =
                    MixedModel.fit(cells, PRIOR, SPREADS).at(elsewhere.site()).predict(elsewhere);
            assertEquals(mean, found.mean(), 1e-9);
            assertEquals(variance, found.variance(), 1e-9);
        }
    }

    @Test
    void what_was_measured_at_a_place_draws_what_is_expected_there_and_makes_it_surer() {
        List<Cell> cells = new ArrayList<>(drawn(new Random(3)));
        Cell asked = cell(50, 500, 1, DayPart.DAY, 0, 1, 1);
        MixedModel.Prediction before =
                MixedModel.fit(cells, PRIOR, SPREADS).at(asked.site()).predict(asked);
        cells.add(cell(50, 400, 1, DayPart.DAY, before.mean() + 1, 5, 1));
        MixedModel.Prediction earlier =
                MixedModel.fit(cells, PRIOR, SPREADS).at(asked.site()).predict(asked);
        cells.add(cell(50, 500, 1, DayPart.DAY, before.mean() + 1, 5, 1));
        MixedModel.Prediction now =
                MixedModel.fit(cells, PRIOR, SPREADS).at(asked.site()).predict(asked);
        assertTrue(before.mean() < earlier.mean() && earlier.mean() < now.mean() && now.mean() < before.mean() + 1);
        assertTrue(before.variance() > earlier.variance() && earlier.variance() > now.variance());
    }

    @Test
    void how_much_places_differ_is_learned() {
        Random random = new Random(8);
        List<Cell> alike = new ArrayList<>();
        List<Cell> unlike = new ArrayList<>();
        for (int place = 0; place < 60; place++) {
            double own = random.nextGaussian();
            for (int k = 0; k < 3; k++) {
                double scatter = 0.2 * random.nextGaussian();
                alike.add(cell(place, place, k, DayPart.DAY, 2 + 0.1 * own + scatter, 2, 0));
                unlike.add(cell(place, place, k, DayPart.DAY, 2 + 1.5 * own + scatter, 2, 0));
            }
        }
        assertTrue(MixedModel.learnSpreads(alike, PRIOR, SPREADS).site() < SPREADS.site());
        assertTrue(MixedModel.learnSpreads(unlike, PRIOR, SPREADS).site() > 2 * SPREADS.site());
    }
}

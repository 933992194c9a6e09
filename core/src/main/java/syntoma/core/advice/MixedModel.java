package syntoma.core.advice;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A linear mixed model: columns with a prior each, and beside them what campsites and stays, setups at a campsite and parts of its
 * day have of their own. The means are the joint posterior means (Henderson 1975), the variances hold what is uncertain about the
 * columns too.
 *
 * <p>Assumes that scatter is normal on the model's scale. All places but the one asked about count a setup's and a part of the day's
 * own share as scatter of the cell, which leaves the inverse of each place's covariance a matter of adding up.
 */
final class MixedModel {
    /** At one place the latest cells tell most, and all of them would make it wait. */
    private static final int MOST_AT_A_PLACE = 150;

    /** How much things scatter is known well enough from so many. */
    private static final int MOST_TO_LEARN_FROM = 3_000;

    /** Nothing is known better than so. */
    private static final double LEAST_VARIANCE = 1e-6;

    /** The standard deviation of the logarithm of a variance before it is learned: a factor of three either way, chosen. */
    private static final double VARIANCE_IS_KNOWN_TO = Math.log(3);

    /** Both matrices are symmetric to the last bit, and of full rank since every row has scatter of its own. */
    private static final double EXACT = 0;

    private static final double LEAST_PIVOT = 1e-14;

    private final Spreads spreads;
    private final Map<Cell.Place, List<Cell>> places;
    private final RealVector estimate;
    private final RealMatrix covariance;

    private MixedModel(
            Spreads spreads, Map<Cell.Place, List<Cell>> places, RealVector estimate, RealMatrix covariance) {
        this.spreads = spreads;
        this.places = places;
        this.estimate = estimate;
        this.covariance = covariance;
    }

    /** What is held of the columns before anything was measured. */
    record Prior(double[] means, double[] variances) {}

    /** A mean and its variance on the model's scale, without the scatter of a run. */
    record Prediction(double mean, double variance) {}

    /** Fits it, with what scatters as it is given. */
    static MixedModel fit(List<Cell> cells, Prior prior, Spreads spreads) {
        Map<Cell.Place, List<Cell>> places = byPlace(cells);
        Normal normal = new Normal(prior, spreads);
        places.values().forEach(normal::add);
        CholeskyDecomposition solved = normal.decomposed();
        RealVector off = solved.getSolver().solve(normal.right);
        return new MixedModel(
                spreads,
                places,
                off.add(new ArrayRealVector(prior.means())),
                solved.getSolver().getInverse());
    }

    /** Learns from the cells how much things scatter, beginning with what is usual, which counts as much as a few places. */
    static Spreads learnSpreads(List<Cell> cells, Prior prior, Spreads usual) {
        Map<Cell.Place, List<Cell>> places = byPlace(cells.stream()
                .sorted(Comparator.comparingLong(Cell::order).reversed())
                .limit(MOST_TO_LEARN_FROM)
                .toList());
        Spreads best = usual;
        double height = likelihood(places, prior, best, usual);
        for (double step : new double[] {4, 2, 1.4}) {
            for (int which = 0; which < Spreads.COUNT; which++) {
                for (double factor : new double[] {step, 1 / step}) {
                    Spreads tried = best.times(which, factor);
                    double there = likelihood(places, prior, tried, usual);
                    if (there > height) {
                        best = tried;
                        height = there;
                    }
                }
            }
        }
        return best;
    }

    private static double likelihood(Map<Cell.Place, List<Cell>> places, Prior prior, Spreads spreads, Spreads usual) {
        Normal normal = new Normal(prior, spreads);
        places.values().forEach(normal::add);
        double penalty = 0;
        for (int i = 0; i < Spreads.COUNT; i++) {
            double off = Math.log(spreads.at(i) / usual.at(i)) / VARIANCE_IS_KNOWN_TO;
            penalty += off * off / 2;
        }
        return normal.logLikelihood() - penalty;
    }

    private static Map<Cell.Place, List<Cell>> byPlace(List<Cell> cells) {
        return cells.stream().collect(Collectors.groupingBy(Cell::site));
    }

    /** The spreads that it was fitted with. */
    Spreads spreads() {
        return spreads;
    }

    /** What the columns alone say. */
    double fixedPart(int[] columns, double[] values) {
        double sum = 0;
        for (int i = 0; i < columns.length; i++) {
            sum += values[i] * estimate.getEntry(columns[i]);
        }
        return sum;
    }

    /** What is known of one place. */
    PlaceEffects at(Cell.Place place) {
        return new PlaceEffects(places.getOrDefault(place, List.of()).stream()
                .sorted(Comparator.comparingLong(Cell::order).reversed())
                .limit(MOST_AT_A_PLACE)
                .toList());
    }

    /** One place, with what was measured there. */
    final class PlaceEffects {
        private final List<Cell> cells;
        private final Optional<DecompositionSolver> shared;
        private final RealVector residuals;

        private PlaceEffects(List<Cell> cells) {
            this.cells = cells;
            shared = cells.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new CholeskyDecomposition(covariances(cells), EXACT, LEAST_PIVOT).getSolver());
            residuals = new ArrayRealVector(
                    cells.stream()
                            .mapToDouble(c -> c.mean() - fixedPart(c.columns(), c.values()))
                            .toArray(),
                    false);
        }

        /** What may be expected of a cell whose mean is not known yet, or not for sure. */
        Prediction predict(Cell asked) {
            double mean = fixedPart(asked.columns(), asked.values());
            double own = spreads.site() + spreads.stay() + spreads.setupHere() + spreads.partOfDay() + spreads.visit();
            double[] off = new double[estimate.getDimension()];
            add(off, asked, 1);
            if (shared.isPresent()) {
                RealVector alike = new ArrayRealVector(
                        cells.stream().mapToDouble(c -> covariance(c, asked)).toArray(), false);
                RealVector weights = shared.get().solve(alike);
                mean += weights.dotProduct(residuals);
                own -= weights.dotProduct(alike);
                for (int k = 0; k < cells.size(); k++) {
                    add(off, cells.get(k), -weights.getEntry(k));
                }
            }
            return new Prediction(mean, Math.max(LEAST_VARIANCE, own) + quadratic(off));
        }
    }

    private static void add(double[] off, Cell cell, double times) {
        for (int i = 0; i < cell.columns().length; i++) {
            off[cell.columns()[i]] += times * cell.values()[i];
        }
    }

    private double quadratic(double[] off) {
        int[] there = IntStream.range(0, off.length).filter(i -> off[i] != 0).toArray();
        double sum = 0;
        for (int i : there) {
            for (int j : there) {
                sum += off[i] * covariance.getEntry(i, j) * off[j];
            }
        }
        return sum;
    }

    private RealMatrix covariances(List<Cell> here) {
        int n = here.size();
        RealMatrix shared = new Array2DRowRealMatrix(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double value = covariance(here.get(i), here.get(j));
                if (i == j) {
                    value += spreads.visit() + spreads.run() / here.get(i).runs();
                }
                shared.setEntry(i, j, value);
                shared.setEntry(j, i, value);
            }
        }
        return shared;
    }

    /** What two cells of one place have in common. */
    private double covariance(Cell one, Cell other) {
        return spreads.site()
                + (one.stay() == other.stay() ? spreads.stay() : 0)
                + (one.setup() == other.setup() ? spreads.setupHere() : 0)
                + (one.part() == other.part() ? spreads.partOfDay() : 0);
    }

    /** The normal equations, and what the likelihood needs beside them. */
    private static final class Normal {
        private final Prior prior;
        private final Spreads spreads;
        private final double[][] left;
        private final RealVector right;
        private double logDeterminant;
        private double squares;

        private Normal(Prior prior, Spreads spreads) {
            this.prior = prior;
            this.spreads = spreads;
            int p = prior.means().length;
            left = new double[p][p];
            right = new ArrayRealVector(p);
            for (int i = 0; i < p; i++) {
                left[i][i] = 1 / prior.variances()[i];
            }
        }

        /** A stay or a place: what its cells add up to, weighed by their precision. */
        private static final class Sum {
            private double ones;
            private double y;
            private final double[] x;

            private Sum(int columns) {
                x = new double[columns];
            }

            private void add(Sum other, double times) {
                ones += other.ones * times;
                y += other.y * times;
                for (int i = 0; i < x.length; i++) {
                    x[i] += other.x[i] * times;
                }
            }
        }

        private void add(List<Cell> place) {
            int[] columns = place.stream()
                    .flatMapToInt(c -> Arrays.stream(c.columns()))
                    .distinct()
                    .sorted()
                    .toArray();
            Sum all = new Sum(columns.length);
            place.stream()
                    .collect(Collectors.groupingBy(Cell::stay))
                    .values()
                    .forEach(stay -> all.add(stay(stay, columns), 1));
            take(all, columns, spreads.site());
        }

        private Sum stay(List<Cell> cells, int[] columns) {
            Sum sum = new Sum(columns.length);
            for (Cell cell : cells) {
                double weight = 1 / spreads.ofCell(cell.runs());
                double y = cell.mean() - prior(cell);
                logDeterminant -= Math.log(weight);
                squares += weight * y * y;
                sum.ones += weight;
                sum.y += weight * y;
                for (int i = 0; i < cell.columns().length; i++) {
                    int ci = cell.columns()[i];
                    double value = weight * cell.values()[i];
                    sum.x[Arrays.binarySearch(columns, ci)] += value;
                    right.addToEntry(ci, value * y);
                    for (int j = 0; j < cell.columns().length; j++) {
                        left[ci][cell.columns()[j]] += value * cell.values()[j];
                    }
                }
            }
            take(sum, columns, spreads.stay());
            Sum left = new Sum(columns.length);
            left.add(sum, 1 / (1 + spreads.stay() * sum.ones));
            return left;
        }

        /** Takes out what all of a sum have in common (Sherman and Morrison 1950). */
        private void take(Sum sum, int[] columns, double variance) {
            double factor = variance / (1 + variance * sum.ones);
            logDeterminant += Math.log1p(variance * sum.ones);
            squares -= factor * sum.y * sum.y;
            for (int i = 0; i < columns.length; i++) {
                right.addToEntry(columns[i], -factor * sum.x[i] * sum.y);
                for (int j = 0; j < columns.length; j++) {
                    left[columns[i]][columns[j]] -= factor * sum.x[i] * sum.x[j];
                }
            }
        }

        private double prior(Cell cell) {
            double sum = 0;
            for (int i = 0; i < cell.columns().length; i++) {
                sum += cell.values()[i] * prior.means()[cell.columns()[i]];
            }
            return sum;
        }

        private CholeskyDecomposition decomposed() {
            for (int i = 0; i < left.length; i++) {
                for (int j = 0; j < i; j++) {
                    left[j][i] = left[i][j];
                }
            }
            return new CholeskyDecomposition(new Array2DRowRealMatrix(left, false), EXACT, LEAST_PIVOT);
        }

        private double logLikelihood() {
            CholeskyDecomposition solved = decomposed();
            RealVector off = solved.getSolver().solve(right);
            double log = logDeterminant + squares - off.dotProduct(right);
            for (int i = 0; i < left.length; i++) {
                log += 2 * Math.log(solved.getL().getEntry(i, i)) + Math.log(prior.variances()[i]);
            }
            return -log / 2;
        }
    }
}

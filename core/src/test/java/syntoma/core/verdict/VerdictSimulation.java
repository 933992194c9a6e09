package syntoma.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;

/**
 * How often the verdict is wrong, by simulation of trials whose truth is known. The test runs it small; {@code main} runs it
 * large and prints the lines of {@code docs/methods.md}.
 */
final class VerdictSimulation {
    private static final Spread SPREAD = new Spread(0.02, Optional.empty());

    /** Run-to-run spread of a round's log ratio, the default of a trial's design. */
    private static final double SD = 0.35;

    private final int trials;
    private final Random random;

    VerdictSimulation(int trials, long seed) {
        this.trials = trials;
        this.random = new Random(seed);
    }

    private double[] differences(double effect, int rounds) {
        double[] d = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            d[i] = effect + SD * random.nextGaussian();
        }
        return d;
    }

    /** The share of trials without a difference that claim one at any look, gone on with past their plan. */
    double falseClaims(int planned, int made) {
        Plan plan = new Plan(planned, Optional.empty());
        int wrong = 0;
        for (int trial = 0; trial < trials; trial++) {
            double[] all = differences(0, made);
            for (int n = InterimLooks.FEWEST; n <= made; n++) {
                double[] sofar = Arrays.copyOf(all, n);
                if (SPREAD.effect(sofar).p() < plan.level(n)) {
                    wrong++;
                    break;
                }
            }
        }
        return (double) wrong / trials;
    }

    /** The share of trials in which nothing went wrong that show a wild run. */
    double cleanWild(int rounds) {
        double beyond = InterimLooks.critical(0.05 / rounds, rounds - 2.0);
        int marked = 0;
        for (int trial = 0; trial < trials; trial++) {
            LeaveOneOut others = new LeaveOneOut(differences(0.3, rounds), SPREAD);
            boolean any = false;
            for (int i = 0; i < rounds; i++) {
                any |= Math.abs(others.studentised(i)) > beyond;
            }
            marked += any ? 1 : 0;
        }
        return (double) marked / trials;
    }

    /** The share of single looks whose interval holds the truth. */
    double coverage(double ratio, int rounds) {
        double truth = Math.log(ratio);
        int held = 0;
        for (int trial = 0; trial < trials; trial++) {
            Effect effect = SPREAD.effect(differences(truth, rounds));
            held += effect.low(InterimLooks.SINGLE) <= truth && truth <= effect.high(InterimLooks.SINGLE) ? 1 : 0;
        }
        return (double) held / trials;
    }

    /** The share of trials of so many equal setups in which any pair is claimed to differ, after one planned look. */
    double familyError(int setups, int rounds) {
        int wrong = 0;
        for (int trial = 0; trial < trials; trial++) {
            double[][] values = new double[setups][];
            for (int s = 0; s < setups; s++) {
                values[s] = differences(0, rounds);
            }
            List<Double> p = new ArrayList<>();
            for (int a = 0; a < setups; a++) {
                for (int b = a + 1; b < setups; b++) {
                    double[] d = values[a].clone();
                    for (int i = 0; i < rounds; i++) {
                        d[i] -= values[b][i];
                    }
                    p.add(SPREAD.effect(d).p());
                }
            }
            double least = p.stream().min(Double::compare).orElseThrow();
            List<Double> others = new ArrayList<>(p);
            others.remove(least);
            wrong += least < Holm.threshold(others, InterimLooks.SINGLE) ? 1 : 0;
        }
        return (double) wrong / trials;
    }

    public static void main(String[] args) {
        VerdictSimulation large = new VerdictSimulation(100_000, 1);
        for (int[] plan : new int[][] {{3, 10}, {3, 20}, {5, 10}, {8, 20}, {12, 20}, {19, 20}}) {
            say("false claims, %d rounds planned, %d made", large.falseClaims(plan[0], plan[1]), plan[0], plan[1]);
        }
        for (int rounds : new int[] {3, 4, 5, 8, 12, 20}) {
            say("a wild run in a clean trial of %d rounds", large.cleanWild(rounds), rounds);
        }
        for (int rounds : new int[] {3, 5, 10}) {
            say("the interval of %d rounds holds, no difference", large.coverage(1, rounds), rounds);
            say("the interval of %d rounds holds, a true ×1.4", large.coverage(1.4, rounds), rounds);
        }
        for (int rounds : new int[] {3, 5, 10}) {
            say("any false claim among 6 equal setups, %d rounds", large.familyError(6, rounds), rounds);
        }
    }

    private static void say(String what, double share, Object... numbers) {
        System.out.printf(Locale.ROOT, "| " + what + " | %.1f %% |%n", append(numbers, 100 * share));
    }

    private static Object[] append(Object[] numbers, double share) {
        Object[] all = Arrays.copyOf(numbers, numbers.length + 1);
        all[numbers.length] = share;
        return all;
    }
}

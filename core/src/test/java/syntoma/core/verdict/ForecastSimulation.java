package syntoma.core.verdict;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Scale;

/**
 * How often what is said to settle a comparison does. The simulation knows nothing of the forecast: it draws a true effect and a
 * spread, makes rounds, asks for the forecast where the plan left it open, and makes what was said. {@code main} prints the table of
 * {@code docs/methods.md}.
 */
final class ForecastSimulation {
    private static final Scale SCALE = Figure.UP_MBPS.scale();

    /** How often something came true of how many times it was said, and what was promised on average. */
    record Score(int said, double promised, int cameTrue) {
        double share() {
            return (double) cameTrue / said;
        }
    }

    /** What true effects are drawn from. */
    enum World {
        USUAL {
            @Override
            double effect(Random random) {
                return 0.35 * random.nextGaussian();
            }
        },
        QUIET {
            @Override
            double effect(Random random) {
                return 0.35 * random.nextGaussian();
            }

            @Override
            double sd(Random random) {
                return 0.08 + 0.12 * random.nextDouble();
            }
        },
        SMALL {
            @Override
            double effect(Random random) {
                return 0.2 * random.nextGaussian();
            }
        },
        STEPS {
            @Override
            double effect(Random random) {
                return Math.log(new double[] {1, 1, 1.2, 1.4, 2}[random.nextInt(5)]);
            }
        };

        abstract double effect(Random random);

        double sd(Random random) {
            return 0.2 + 0.35 * random.nextDouble();
        }
    }

    private final Random random;
    private final int trials;

    ForecastSimulation(int trials, long seed) {
        this.trials = trials;
        random = new Random(seed);
    }

    private double[] differences(double effect, double sd, int rounds) {
        double[] d = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            d[i] = effect + sd * random.nextGaussian();
        }
        return d;
    }

    private static Effect effect(double... differences) {
        return new Spread(SCALE.leastSpread(), Optional.empty()).effect(differences);
    }

    /** Whether a look is settled, from its interval alone. */
    private static boolean isSettled(double[] differences, int n, double level) {
        Effect effect = effect(Arrays.copyOf(differences, n));
        double low = effect.low(level);
        double high = effect.high(level);
        return low > 0 || high < 0 || (low > -SCALE.margin() && high < SCALE.margin());
    }

    private static boolean someLook(double[] differences, int from, int planned) {
        for (int n = from; n <= planned; n++) {
            if (isSettled(differences, n, InterimLooks.level(planned, 0))) {
                return true;
            }
        }
        return false;
    }

    /** New trials, where the plan of so many rounds ended in can't tell. */
    Score newTrials(World world, int planned, double chance) {
        int said = 0;
        int settled = 0;
        for (int t = 0; t < trials; t++) {
            double truth = world.effect(random);
            double sd = world.sd(random);
            double[] made = differences(truth, sd, planned);
            if (isSettled(made, planned, InterimLooks.level(planned, 0))) {
                continue;
            }
            OptionalInt rounds =
                    Forecast.of(SCALE, effect(made), Optional.empty()).newTrial(chance);
            if (rounds.isPresent()) {
                said++;
                settled += someLook(differences(truth, sd, rounds.getAsInt()), InterimLooks.FEWEST, rounds.getAsInt())
                        ? 1
                        : 0;
            }
        }
        return new Score(said, chance, settled);
    }

    /** The rounds left of a plan, where the look after some of them is open and the chance is said to be in a range. */
    Score left(World world, int made, int planned, double from, double to) {
        int said = 0;
        int settled = 0;
        double promised = 0;
        for (int t = 0; t < trials; t++) {
            double[] all = differences(world.effect(random), world.sd(random), planned);
            if (isSettled(all, made, InterimLooks.level(planned, 0))) {
                continue;
            }
            double chance = Forecast.of(SCALE, effect(Arrays.copyOf(all, made)), Optional.empty())
                    .chance(planned - made, InterimLooks.level(planned, 0));
            if (chance >= from && chance < to) {
                said++;
                promised += chance;
                settled += someLook(all, made + 1, planned) ? 1 : 0;
            }
        }
        return new Score(said, promised / said, settled);
    }

    /** More stays, where so many left it open. */
    Score stays(World world, int stays) {
        int said = 0;
        int settled = 0;
        for (int t = 0; t < trials; t++) {
            double[] all = differences(world.effect(random), world.sd(random), stays + 20);
            if (isSettled(all, stays, 0.05)) {
                continue;
            }
            Effect effect = effect(Arrays.copyOf(all, stays));
            OptionalInt more =
                    Forecast.stays(SCALE, effect.mean().orElseThrow(), effect.standardError(), stays, effect.degrees());
            if (more.isPresent()) {
                said++;
                settled += isSettled(all, stays + more.getAsInt(), 0.05) ? 1 : 0;
            }
        }
        return new Score(said, 0.8, settled);
    }

    public static void main(String[] args) {
        ForecastSimulation large = new ForecastSimulation(args.length > 0 ? Integer.parseInt(args[0]) : 4000, 3);
        for (World world : World.values()) {
            for (int planned : new int[] {3, 5, 8, 12}) {
                say("a new trial after " + planned + " rounds", world, large.newTrials(world, planned, 0.8));
                say("an even chance after " + planned + " rounds", world, large.newTrials(world, planned, 0.5));
            }
            for (int[] plan : new int[][] {{3, 5}, {3, 8}, {5, 8}, {6, 15}}) {
                for (double from : new double[] {0.15, 0.3, 0.5, 0.7, 0.85}) {
                    double to = from == 0.15 ? 0.3 : from == 0.85 ? 1.01 : from + (from == 0.7 ? 0.15 : 0.2);
                    say(
                            plan[0] + " of " + plan[1] + " rounds made",
                            world,
                            large.left(world, plan[0], plan[1], from, to));
                }
            }
            for (int stays : new int[] {4, 6, 10}) {
                say("more stays after " + stays, world, large.stays(world, stays));
            }
        }
    }

    private static void say(String what, World world, Score score) {
        System.out.printf(
                Locale.ROOT,
                "| %s | %s | %,d | %.0f %% | %.1f %% |%n",
                what,
                world.name().toLowerCase(Locale.ROOT),
                score.said,
                100 * score.promised,
                100 * score.share());
    }
}

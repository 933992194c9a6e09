package syntoma.standin.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import syntoma.core.chain.Source;
import syntoma.core.design.Contender;
import syntoma.core.design.Noise;
import syntoma.core.design.Order;
import syntoma.core.design.Planner;
import syntoma.core.design.Question;
import syntoma.core.run.RunKind;
import syntoma.core.state.Arrangement;
import syntoma.core.state.Holder;
import syntoma.core.state.RigState;
import syntoma.core.state.Spot;
import syntoma.core.state.Work;
import syntoma.standin.World;
import syntoma.standin.air.Hands;

class PracticeTest {
    /** A game of each lesson. */
    private static Map<Lesson, PracticeGame> games() {
        Map<Lesson, PracticeGame> games = new EnumMap<>(Lesson.class);
        for (long seed = 0; games.size() < Lesson.values().length && seed < 500; seed++) {
            PracticeGame game = PracticeGame.of(seed);
            games.putIfAbsent(game.lesson(), game);
        }
        return games;
    }

    @Test
    void the_truth_of_each_lesson_is_what_it_says() {
        Map<Lesson, PracticeGame> games = games();
        assertEquals(Lesson.values().length, games.size(), "each is met");
        assertEquals(1, games.get(Lesson.NOTHING_BETWEEN).truth(true), 0.04);
        assertEquals(1, games.get(Lesson.THE_BUSY_EVENING).truth(true), 0.04);
        assertEquals(1, games.get(Lesson.THE_CAP).truth(false), 0.1);
        assertTrue(games.get(Lesson.UP_AND_DOWN_DIFFER).truth(true) < 0.75);
        assertTrue(games.get(Lesson.UP_AND_DOWN_DIFFER).truth(false) > 1.3);
        assertTrue(games.get(Lesson.THE_BAD_LEAD).truth(true) < 0.7);
        assertEquals(1.05, games.get(Lesson.REFLECTIONS).truth(true), 0.05);
        assertTrue(games.get(Lesson.CLEARLY_BETTER).truth(true) > 1.4);
    }

    @Test
    void a_game_is_the_same_for_whoever_looks_again() {
        PracticeGame game = PracticeGame.of(11);
        assertEquals(
                game.trial(5, 2).toString(), PracticeGame.of(11).trial(5, 2).toString());
        assertEquals(5 * 2 * 2, game.trial(5, 2).size());
        assertEquals(4, game.otherwise(true).size());
        assertEquals(game.otherwise(true), PracticeGame.of(11).otherwise(true));
    }

    @Test
    void the_other_server_and_the_evening_mislead_where_there_is_nothing() {
        PracticeGame busy = games().get(Lesson.THE_BUSY_EVENING);
        Map<String, Double> told = new TreeMap<>();
        busy.otherwise(true).forEach(t -> told.put(t.by(), t.ratio()));
        assertTrue(told.get("A now, B in the evening") < 0.85, told.toString());
    }

    /** Simulated hands take what is planned to 15 %, over many trials of random setups, and so do the bytes. */
    @Test
    void planned_minutes_and_data_are_what_simulated_hands_need() {
        double planned = 0;
        double took = 0;
        double plannedGb = 0;
        double tookGb = 0;
        int within = 0;
        int trials = 40;
        for (int i = 0; i < trials; i++) {
            Random random = new Random(i * 7_919L);
            Question question = question(random, i);
            int rounds = 4 + random.nextInt(9);
            int runs = 1 + random.nextInt(3);
            var effort = Planner.effort(question, rounds, runs);
            OffsetDateTime from = OffsetDateTime.parse("2026-07-21T09:00:00+03:00");
            SimulatedTrial hands = new SimulatedTrial(new World(i), Work.usual(), RunKind.LIGHT, from, i);
            hands.make(rivals(question), effort.visits(), runs);
            double minutes = Duration.between(from, hands.now()).toSeconds() / 60.0;
            planned += effort.minutes();
            took += minutes;
            plannedGb += effort.gb();
            tookGb += hands.usedGb();
            within += Math.abs(minutes / effort.minutes() - 1) <= 0.15 ? 1 : 0;
        }
        assertTrue(within >= 0.9 * trials, within + " of " + trials + " within 15 %");
        assertEquals(1, took / planned, 0.08);
        assertEquals(1, tookGb / plannedGb, 0.15);
    }

    private static final Hands HANDS = Hands.of("Sawmill Yard", World.ROOF_DOME, "Tarnwave");

    private static List<Rival> rivals(Question question) {
        return question.contenders().stream()
                .map(c -> Rival.asItIs(c.setup(), HANDS))
                .toList();
    }

    /** Two to four setups that differ in leads, mast and bands, at the rates that the link usually brings. */
    private static Question question(Random random, int seed) {
        List<Contender> contenders = IntStream.range(0, 2 + random.nextInt(3))
                .mapToObj(i -> new Contender(
                        "S" + i,
                        new Arrangement(
                                Optional.empty(),
                                new Holder("Curlew", 1, Optional.empty(), false),
                                "Tarnwave",
                                new TreeMap<>(),
                                Source.CELLULAR,
                                "inside",
                                new TreeMap<>(Map.of(
                                        "A" + random.nextInt(3), random.nextBoolean() ? Spot.ROOF : Spot.onMast(3))),
                                Optional.empty(),
                                random.nextBoolean() ? "automatic" : "B3",
                                Optional.empty())))
                .toList();
        Question.Rates rates = usual();
        return new Question(
                contenders,
                1.5,
                Noise.USUAL,
                RunKind.LIGHT,
                contenders.stream().map(c -> rates).toList(),
                Work.usual(),
                RigState.UNKNOWN,
                Order.TURNING,
                seed,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Question.Saving.TIME,
                1);
    }

    /** What the log would say of the link: the medians of some runs. */
    private static Question.Rates usual() {
        SimulatedTrial hands = new SimulatedTrial(
                new World(99), Work.usual(), RunKind.LIGHT, OffsetDateTime.parse("2026-07-20T09:00:00+03:00"), 1);
        List<Run> runs = IntStream.range(0, 41)
                .mapToObj(i -> {
                    hands.pass(300);
                    return hands.run(1, Rival.asItIs("S", HANDS));
                })
                .filter(Run::hasSucceeded)
                .toList();
        return Question.Rates.of(
                runs.stream()
                        .mapToDouble(Run::downMbps)
                        .sorted()
                        .skip(runs.size() / 2)
                        .findFirst()
                        .orElseThrow(),
                runs.stream()
                        .mapToDouble(Run::upMbps)
                        .sorted()
                        .skip(runs.size() / 2)
                        .findFirst()
                        .orElseThrow(),
                true);
    }
}

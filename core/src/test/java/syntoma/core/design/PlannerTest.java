package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.run.RunKind;
import syntoma.core.state.Rig;
import syntoma.core.state.RigState;
import syntoma.core.state.Work;

class PlannerTest {
    private static final Contender DOME = on("Roof dome", "Alder", 0);
    private static final Contender MAST = on("Mast panel", "Rowan", 3);
    private static final Contender WHIPS = on("Roof whips", "Sorrel", 0);

    private static Contender on(String setup, String antenna, double heightM) {
        return new Contender(setup, Rig.of("Curlew").antenna(antenna, heightM).arrangement());
    }

    /** Of which the difference in a round scatters by so much, however many runs there are. */
    private static Noise scatter(double sd) {
        return new Noise(0, sd / Math.sqrt(2));
    }

    private static Question question(
            List<Contender> contenders,
            double difference,
            Noise noise,
            RunKind kind,
            OptionalDouble minutes,
            OptionalDouble gb) {
        return new Question(
                contenders,
                difference,
                noise,
                kind,
                Collections.nCopies(contenders.size(), Question.Rates.of(20, 5, true)),
                Work.usual(),
                RigState.with(contenders.get(0).arrangement()),
                Order.TURNING,
                7,
                minutes,
                gb,
                Question.Saving.TIME,
                1);
    }

    private static Question free(double difference, Noise noise, Contender... contenders) {
        return question(
                List.of(contenders), difference, noise, RunKind.LIGHT, OptionalDouble.empty(), OptionalDouble.empty());
    }

    @ParameterizedTest
    @CsvSource({"0.35, 1.4, 15", "0.35, 2, 6", "0.2, 1.4, 7", "0.2, 2, 3", "0.5, 2, 9"})
    void plans_as_many_rounds_as_a_difference_wants(double sd, double difference, int rounds) {
        Planner.Design design = Planner.design(free(difference, scatter(sd), DOME, MAST));
        assertEquals(rounds, design.effort().rounds());
        assertTrue(design.fits() && design.isEnough());
        assertTrue(design.chance() >= 0.8, design.toString());
        assertTrue(design.smallestEffect() <= difference + 0.02, design.toString());
    }

    @Test
    void calculates_the_minutes_and_the_data() {
        // six rounds of two, the dome up already, in turns: the mast once up, the leads changed at each of six
        // change-overs
        Effort effort = Planner.design(free(2, scatter(0.35), DOME, MAST)).effort();
        assertEquals(1, effort.runs());
        int starts = effort.visits().get(0).contender() == 0 ? 6 : 7;
        assertEquals(10 + 4.0 * starts, effort.handsMinutes(), 1e-9);
        // a minute to settle after each, and 12 light runs of 2 s alone, 3.75 s each way and 1 s to end
        assertEquals(effort.handsMinutes() + starts + 12 * 10.5 / 60, effort.minutes(), 1e-9);
        // 20 and 5 Mb/s for 3.75 s each: 9.375 and 2.34 MB
        assertEquals(12 * (20 + 5) * 3.75 / 8 / 1_000, effort.gb(), 1e-9);
    }

    @Test
    void where_changes_cost_minutes_several_runs_are_made_at_each_visit() {
        Noise noisy = new Noise(0.4, 0.1);
        Effort dear = Planner.design(free(2, noisy, DOME, MAST)).effort();
        assertTrue(dear.runs() >= 2, dear.runs() + " runs");
        Question cheap = new Question(
                List.of(
                        new Contender("One", Rig.of("Plover").arrangement()),
                        new Contender("Other", Rig.of("Plover").arrangement())),
                2,
                noisy,
                RunKind.FULL,
                Collections.nCopies(2, Question.Rates.of(20, 5, false)),
                Work.usual(),
                RigState.UNKNOWN,
                Order.TURNING,
                7,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Question.Saving.DATA,
                1);
        Effort thrifty = Planner.design(cheap).effort();
        assertEquals(1, thrifty.runs(), "to save data a round more is cheaper than a second run");
        assertTrue(thrifty.rounds() > dear.rounds());
    }

    /** Of 8 runs 4 failed, 2 more are added that did not: 4 visits in 10 with one run are lost, 16 in 100 with two. */
    @Test
    void failures_seen_so_far_are_allowed_for() {
        Question sound = free(1.6, scatter(0.35), DOME, MAST);
        Question failing = new Question(
                sound.contenders(),
                sound.difference(),
                sound.noise(),
                sound.kind(),
                List.of(Question.Rates.of(20, 5, true), new Question.Rates(20, 5, true, 4, 8)),
                sound.work(),
                sound.start(),
                sound.order(),
                7,
                sound.minutes(),
                sound.gb(),
                sound.saving(),
                1);
        assertEquals(0.6, failing.usableRounds(1), 1e-12);
        assertEquals(0.84, failing.usableRounds(2), 1e-12);
        assertTrue(Planner.design(failing).effort().minutes()
                > Planner.design(sound).effort().minutes());
        assertEquals(
                "Mast panel failed in 4 of 8 runs so far: the plan allows for such lost rounds.",
                failing.failures().orElseThrow());
        assertEquals(Optional.empty(), sound.failures());
    }

    @Test
    void three_setups_want_more_rounds_than_two() {
        int two = Planner.design(free(1.6, scatter(0.35), DOME, MAST)).effort().rounds();
        int three = Planner.design(free(1.6, scatter(0.35), DOME, MAST, WHIPS))
                .effort()
                .rounds();
        assertTrue(three > two, three + " against " + two);
    }

    @Test
    void in_too_little_time_it_says_what_could_be_seen_and_what_to_drop() {
        Question tight = question(
                List.of(DOME, MAST, WHIPS),
                1.5,
                scatter(0.3),
                RunKind.FULL,
                OptionalDouble.of(60),
                OptionalDouble.empty());
        Planner.Design design = Planner.design(tight);
        assertTrue(design.fits());
        assertFalse(design.isEnough());
        assertTrue(design.effort().minutes() <= 60, design.toString());
        assertTrue(design.smallestEffect() > 1.5 && design.chance() < 0.8, design.toString());
        assertTrue(
                design.advice().get(0).startsWith("To see ×1.5"),
                design.advice().toString());
        assertTrue(
                design.advice().stream().anyMatch(a -> a.startsWith("Without Mast panel it needs")),
                design.advice().toString());
        assertTrue(design.advice().stream().anyMatch(a -> a.startsWith("With light runs it needs")));
    }

    @Test
    void an_allowance_under_three_rounds_fits_nothing() {
        Planner.Design design = Planner.design(question(
                List.of(DOME, MAST), 1.5, Noise.USUAL, RunKind.FULL, OptionalDouble.empty(), OptionalDouble.of(0.01)));
        assertFalse(design.fits());
        assertEquals(3, design.effort().rounds());
        assertTrue(
                design.advice().get(1).startsWith("A verdict needs at least three rounds; they take "),
                design.advice().toString());
    }

    @Test
    void what_would_want_more_than_twenty_rounds_is_said_so() {
        Planner.Design design = Planner.design(free(1.05, new Noise(0.3, 0.4), DOME, MAST));
        assertFalse(design.isEnough());
        assertTrue(
                design.advice().get(0).contains("More than 20 rounds"),
                design.advice().toString());
    }

    @Test
    void it_says_what_it_cannot_answer() {
        Contender both = new Contender("Hotspot", Rig.of("Plover").on("Brissa").arrangement());
        List<String> cannot = Planner.design(free(2, Noise.USUAL, DOME, both)).limits();
        assertTrue(
                cannot.stream().anyMatch(c -> c.contains("the carrier and the device and the antennas")),
                cannot.toString());
        assertTrue(cannot.get(0).startsWith("Whether there is a difference under ×"));
    }

    @Test
    void a_locked_device_is_refused_with_a_foreign_sim() {
        Contender foreign = new Contender(
                "Hotspot", Rig.of("Plover").lockedTo("Tarnwave").on("Ostrel").arrangement());
        String said = assertThrows(IllegalArgumentException.class, () -> free(2, Noise.USUAL, DOME, foreign))
                .getMessage();
        assertEquals("contenders has Hotspot on Ostrel; Plover takes SIMs of Tarnwave only", said);
    }

    @Test
    void a_setup_without_parts_has_work_that_nobody_knows() {
        Question question = free(2, Noise.USUAL, DOME, Contender.ofName("Old hotspot", "Tarnwave"));
        assertTrue(question.unknownParts().orElse("").startsWith("Gear does not say what Old hotspot is made of"));
        assertEquals(Optional.empty(), free(2, Noise.USUAL, DOME, MAST).unknownParts());
    }

    @ParameterizedTest
    @CsvSource({"1, 1.4, contenders", "17, 1.4, contenders", "2, 1, difference", "2, 11, difference"})
    void refuses_what_is_no_question(int contenders, double difference, String field) {
        List<Contender> many = IntStream.range(0, contenders)
                .mapToObj(i -> Contender.ofName("Setup " + i, "Tarnwave"))
                .toList();
        String said = assertThrows(
                        IllegalArgumentException.class,
                        () -> question(
                                many,
                                difference,
                                Noise.USUAL,
                                RunKind.LIGHT,
                                OptionalDouble.empty(),
                                OptionalDouble.empty()))
                .getMessage();
        assertTrue(said.startsWith(field), said);
    }

    @Test
    void refuses_the_same_twice() {
        assertThrows(IllegalArgumentException.class, () -> free(2, Noise.USUAL, DOME, DOME));
    }

    @Test
    void more_than_eight_are_screened_first() {
        Contender[] many = IntStream.range(0, 12)
                .mapToObj(i -> on("Setup " + i, "Alder", 0))
                .toArray(Contender[]::new);
        Question question = free(1.5, scatter(0.35), many);
        Planner.Design design = Planner.design(question);
        assertTrue(design.isEnough() && design.chance() >= 0.9, design.sentence(question));
        assertTrue(design.sentence(question).startsWith("Screen all 12 first: "), design.sentence(question));
        assertTrue(design.sentence(question).endsWith("Then a trial of the best 4 decides."));
        assertTrue(design.limits().get(0).contains("ahead of all others is among them with a chance of 9"));
        Planner.Design eight = Planner.design(free(1.5, scatter(0.35), Arrays.copyOf(many, 8)));
        assertTrue(
                design.effort().visits().size() < eight.effort().visits().size(),
                "fewer visits for twelve that are screened than for eight of which every pair is judged");
    }
}

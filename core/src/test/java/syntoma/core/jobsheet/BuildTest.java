package syntoma.core.jobsheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.caution.Caution;
import syntoma.core.chain.Shell;
import syntoma.core.power.Wire;
import syntoma.core.roof.Foot;
import syntoma.core.sentence.Sentence;
import syntoma.core.sentence.Texts;

class BuildTest {
    /** What is done to find out whether it is worth it. */
    private static final Set<String> TRYING =
            Set.of("gather", "table", "settings", "baseline", "tape", Build.ROOF_TEST);

    private static Build build(Foot.Fixing fixing, Shell shell, boolean all) {
        return new Build("Alder", fixing, shell, 4, Hole.of(20), all, all, all);
    }

    /** All that has to be done before a task, however far before. */
    private static Set<String> before(TaskList tasks, String key) {
        Set<String> before = new HashSet<>();
        for (Task task : tasks.before(tasks.find(key).orElseThrow())) {
            before.add(task.key());
            before.addAll(before(tasks, task.key()));
        }
        return before;
    }

    static Stream<Build> builds() {
        return Arrays.stream(Foot.Fixing.values()).flatMap(fixing -> Arrays.stream(Shell.values())
                .flatMap(shell -> Stream.of(build(fixing, shell, true), build(fixing, shell, false))));
    }

    @Test
    void every_caution_of_a_build_stands_at_a_step() {
        Set<Caution> cautions = build(Foot.Fixing.DRILLED, Shell.STEEL, true).tasks().inOrder().stream()
                .flatMap(t -> t.cautions().stream())
                .collect(Collectors.toSet());
        assertEquals(EnumSet.complementOf(EnumSet.of(Caution.WALKING)), cautions);
    }

    /** Whatever is done on the roof has a ladder, its caution and a second person; a drill has eye protection. */
    @ParameterizedTest
    @MethodSource("builds")
    void who_works_on_the_roof_has_a_ladder_and_a_second_person(Build build) {
        for (Task task : build.tasks().inOrder()) {
            boolean ladder = task.tools().contains(Sentence.of("ladder"));
            assertEquals(
                    ladder,
                    task.cautions().contains(Caution.LADDER),
                    task.name().toString());
            assertTrue(!ladder || task.needsHelper(), task.name().toString());
            assertTrue(
                    !List.of("pilot", "drill").contains(task.key())
                            || task.tools().contains(Sentence.of("eye protection")),
                    task.name().toString());
            assertTrue(
                    !task.weather().equals(Weather.WARM) || ladder, task.name().toString());
        }
        assertTrue(
                build.tasks().inOrder().stream()
                        .anyMatch(t -> t.name().toString().startsWith("Tape up the plug ends")),
                "plug ends are taped before leads are pulled");
    }

    @ParameterizedTest
    @MethodSource("builds")
    void nothing_is_done_for_good_before_the_test_that_could_make_it_needless(Build build) {
        TaskList tasks = build.tasks();
        for (Task task : tasks.inOrder()) {
            boolean trying = TRYING.contains(task.key());
            assertEquals(
                    !trying,
                    before(tasks, task.key()).contains(Build.ROOF_TEST),
                    task.name().toString());
            assertTrue(!trying || task.lastLook().isEmpty(), task.name().toString());
        }
        assertEquals(
                tasks.inOrder().size() - 1,
                before(tasks, Build.PROVE).size(),
                "the trial that proves it comes after all else");
        assertEquals(
                tasks.inOrder().size(),
                tasks.inOrder().stream().map(Task::name).distinct().count());
    }

    @Test
    void who_does_not_drill_has_no_hole_and_who_does_waits_for_the_sealant() {
        Build magnet = build(Foot.Fixing.MAGNET, Shell.STEEL, false);
        assertFalse(magnet.tasks().find("drill").isPresent());
        assertTrue(magnet.tasks().find("close-inlet").isPresent(), "its leads come in by an opening that there is");
        Schedule quick = Schedule.of(magnet.tasks(), Hours.daily(1, 9 * 60, 18 * 60, 1));
        assertTrue(quick.end() <= 18 * 60, quick.toString());
        Build drilled = build(Foot.Fixing.DRILLED, Shell.GRP, false);
        assertTrue(
                drilled.parts(Build.CableNeeds.NOTHING).get(2).toString().contains("without solvents"),
                drilled.parts(Build.CableNeeds.NOTHING).toString());
        Schedule slow = Schedule.of(drilled.tasks(), Hours.daily(1, 9 * 60, 18 * 60, 3));
        assertTrue(slow.end() > 24 * 60 + 9 * 60, "no earlier than the next morning");
        Schedule.Slot seal = slow.slots().stream()
                .filter(s -> s.task().key().equals("seal"))
                .findFirst()
                .orElseThrow();
        Schedule.Slot water = slow.slots().stream()
                .filter(s -> s.task().key().equals("leak-test"))
                .findFirst()
                .orElseThrow();
        assertTrue(water.from() >= seal.end() + Build.SEALANT_CURES_MIN);
        assertTrue(
                slow.slots().stream().anyMatch(s -> s.from() >= seal.end() && s.end() <= water.from()),
                "other work fills the wait");
    }

    private static Build.AddedTask added(String key, int minutes, List<String> after, List<String> before) {
        return new Build.AddedTask(Task.ofTime(key, minutes, 1, 0, after), before);
    }

    @Test
    void tasks_by_hand_stand_between_others_and_change_how_long_usual_ones_take() {
        Build drilled = build(Foot.Fixing.DRILLED, Shell.STEEL, false);
        TaskList tasks = drilled.tasks(
                List.of(added("own-1", 25, List.of("edge"), List.of("fit")), added("route", 90, List.of(), List.of())),
                Map.of("pilot", 17, "route", 33));
        assertTrue(before(tasks, "fit").contains("own-1"));
        assertTrue(before(tasks, "own-1").contains("drill"));
        Task route = tasks.find("route").orElseThrow();
        assertEquals(90, route.minutes(), "what is put in by hand goes before what was learned");
        assertTrue(route.after().contains("fit") && !route.cautions().isEmpty(), "the rest of it stays");
        assertEquals(17, tasks.find("pilot").orElseThrow().minutes());
        assertEquals(drilled.tasks().inOrder().size() + 1, tasks.inOrder().size());
    }

    @Test
    void a_task_by_hand_that_hangs_on_one_that_this_build_does_not_have_hangs_on_nothing() {
        Build magnet = build(Foot.Fixing.MAGNET, Shell.STEEL, false);
        TaskList tasks = magnet.tasks(
                List.of(added("own-1", 25, List.of("edge"), List.of("seal")), added("drill", 5, List.of(), List.of())),
                Map.of());
        assertEquals(List.of(), tasks.find("own-1").orElseThrow().after());
        assertFalse(tasks.find("drill").isPresent());
    }

    @Test
    void what_cannot_be_ordered_is_named() {
        Build magnet = build(Foot.Fixing.MAGNET, Shell.STEEL, false);
        IllegalArgumentException circle = assertThrows(
                IllegalArgumentException.class,
                () -> magnet.tasks(List.of(added("own-1", 25, List.of("plug"), List.of("gather"))), Map.of()));
        assertTrue(circle.getMessage().startsWith("these wait for each other: "), circle.getMessage());
        IllegalArgumentException missing = assertThrows(
                IllegalArgumentException.class,
                () -> magnet.tasks(List.of(added("own-1", 25, List.of(), List.of("own-9"))), Map.of()));
        assertEquals("own-1 comes before own-9, which is not on the sheet", missing.getMessage());
    }

    @Test
    void what_is_bought_has_the_figures_of_the_plan() {
        List<String> parts = Texts.of(build(Foot.Fixing.DRILLED, Shell.STEEL, false)
                .parts(new Build.CableNeeds(
                        0.87,
                        "195-class",
                        OptionalDouble.of(12.07),
                        OptionalDouble.of(3),
                        Optional.of(Wire.of(1.5)),
                        2.7)));
        assertTrue(parts.contains("4 × extension of 0.9 m or a little more, 195-class"), parts.toString());
        assertTrue(
                parts.contains("clips and ties for 4 leads, grommet or gland that closes around 12.1 mm"),
                parts.toString());
        assertTrue(
                parts.contains("fuse of 3 A with its holder, 5.4 m of wire of 1.5 mm² for both ways"),
                parts.toString());
    }
}

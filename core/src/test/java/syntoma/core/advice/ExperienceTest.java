package syntoma.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a log lets one expect: nearer evidence weighs more, and each kind of it is used. */
class ExperienceTest {
    private static final Option DOME = option("Roof dome", OptionalDouble.of(0), OptionalDouble.empty());
    private static final Option MAST = option("Mast panel", OptionalDouble.of(8), OptionalDouble.empty());
    private static final Outlook.RunRequirement UPLOAD = new Outlook.RunRequirement(
            OptionalDouble.empty(), OptionalDouble.of(3), OptionalDouble.empty(), OptionalDouble.empty());
    private static final StayContext HERE = new StayContext(100, 100, DayPart.DAY);

    private final List<PastMeasurement> log = new ArrayList<>();
    private final Random random = new Random(5);

    private static Option option(String setup, OptionalDouble promised, OptionalDouble cap) {
        return new Option(setup, "Tarnwave", promised, 0, cap, OptionalDouble.empty());
    }

    private void run(Option option, long campsite, long stay, double dbm, double up) {
        double noise = Math.exp(0.2 * random.nextGaussian());
        log.add(new PastMeasurement(
                option.setup(),
                option.carrier(),
                campsite,
                stay,
                log.size(),
                DayPart.DAY,
                true,
                false,
                OptionalDouble.of(dbm),
                OptionalDouble.empty(),
                OptionalDouble.of(20),
                OptionalDouble.of(up * noise),
                OptionalDouble.of(150),
                OptionalDouble.of(0.2)));
    }

    /** Uploads of 8 Mb/s at −90 dBm and 1 Mb/s at −114; the mast hears 8 dB more. */
    private void season() {
        for (int stay = 0; stay < 12; stay++) {
            boolean weak = stay % 2 == 0;
            for (int k = 0; k < 3; k++) {
                run(DOME, stay, stay, weak ? -114 : -90, weak ? 1 : 8);
                run(MAST, stay, stay, weak ? -106 : -82, weak ? 3 : 9);
            }
        }
    }

    private Outlook outlook(Option option) {
        return Experience.of(log, List.of(DOME, MAST), Optional.empty())
                .outlooks(List.of(option), HERE)
                .get(0);
    }

    @Test
    void a_phone_outside_tells_a_weak_place_from_a_strong_one() {
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -114));
        Outlook weak = outlook(MAST);
        log.set(log.size() - 1, PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -90));
        Outlook strong = outlook(MAST);
        assertEquals(3, weak.up().middle(), 1.3);
        assertEquals(9, strong.up().middle(), 3);
        assertTrue(weak.chance(UPLOAD) < 0.7 && strong.chance(UPLOAD) > 0.9);
        assertEquals(-106, weak.levelDbm(), 3);
    }

    @Test
    void the_same_level_inside_means_more_outside() {
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -108));
        double outside = outlook(DOME).levelDbm();
        log.set(log.size() - 1, PastMeasurement.phone(true, "Tarnwave", 100, 100, 999, DayPart.DAY, -108));
        assertTrue(outlook(DOME).levelDbm() > outside + 4, outlook(DOME).levelDbm() + " after " + outside);
    }

    @Test
    void the_mast_is_worth_it_where_it_is_weak_and_not_where_it_is_strong() {
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -114));
        double weak = outlook(MAST).up().middle() / outlook(DOME).up().middle();
        log.set(log.size() - 1, PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -90));
        double strong = outlook(MAST).up().middle() / outlook(DOME).up().middle();
        assertTrue(weak > 1.7, weak + "");
        assertTrue(strong < 1.5, strong + "");
    }

    @Test
    void runs_here_now_weigh_more_than_all_else_and_another_setups_runs_count_too() {
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -90));
        double before = outlook(DOME).up().middle();
        double mastBefore = outlook(MAST).up().middle();
        for (int k = 0; k < 4; k++) {
            run(DOME, 100, 100, -90, 1.2);
        }
        assertTrue(outlook(DOME).up().middle() < before / 3);
        assertTrue(outlook(MAST).up().middle() < mastBefore / 2, "a slow place is slow for both");
        assertTrue(outlook(MAST).up().meanVariance() > outlook(DOME).up().meanVariance());
    }

    @Test
    void failures_and_a_level_that_nothing_reaches_are_no_service() {
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -140));
        assertTrue(outlook(DOME).works() < 0.2, outlook(DOME).works() + "");
    }

    @Test
    void the_reason_is_the_nearest_that_there_is() {
        Option never = option("Whips", OptionalDouble.of(-3), OptionalDouble.empty());
        List<Option> options = List.of(DOME, MAST, never);
        season();
        log.add(PastMeasurement.phone(false, "Tarnwave", 100, 100, 999, DayPart.DAY, -90));
        assertEquals("because at 6 stays with about −84 dBm, as here, all 18 runs met it", reason(options, MAST));
        assertTrue(
                reason(options, never).startsWith("never measured yet; its data sheets promise about −9"),
                reason(options, never));
        run(MAST, 100, 90, -82, 9);
        assertEquals("because at 1 earlier stay here the one run met it", reason(options, MAST));
        run(MAST, 100, 100, -82, 0.5);
        assertTrue(
                reason(options, MAST).startsWith("because the one run here at this stay did not meet it"),
                reason(options, MAST));
    }

    /** A download alone does not tell whether an upload was enough. */
    @Test
    void a_run_without_a_figure_that_is_asked_for_is_no_reason() {
        OptionalDouble none = OptionalDouble.empty();
        for (int k = 0; k < 6; k++) {
            log.add(new PastMeasurement(
                    MAST.setup(),
                    MAST.carrier(),
                    100,
                    100,
                    k,
                    DayPart.DAY,
                    true,
                    false,
                    OptionalDouble.of(-90),
                    none,
                    OptionalDouble.of(20),
                    none,
                    none,
                    none));
        }
        List<Option> options = List.of(DOME, MAST);
        assertEquals("its 6 runs lack a figure that the need asks for", reason(options, MAST));
        Experience experience = Experience.of(log, options, Optional.empty());
        assertEquals(new Experience.Met(0, 0, ""), experience.record(MAST, HERE, now(UPLOAD)));
    }

    /** “As here” needs a level that was read here; and a chance far from its reason says what speaks against it. */
    @Test
    void the_reason_does_not_claim_what_was_not_measured_here() {
        List<Option> options = List.of(DOME, MAST);
        season();
        String before = reason(options, MAST);
        assertTrue(before.endsWith("dBm expected here") && !before.contains("as here"), before);
        for (int k = 0; k < 6; k++) {
            run(DOME, 100, 100, -84, 0.3);
        }
        String said = reason(options, MAST);
        assertTrue(said.endsWith(", but 0 of 6 runs with other setups at this stay did"), said);
    }

    private String reason(List<Option> options, Option of) {
        Experience experience = Experience.of(log, options, Optional.empty());
        Outlook outlook = experience.outlooks(List.of(of), HERE).get(0);
        return experience.reason(of, outlook, HERE, now(UPLOAD)).says();
    }

    @Test
    void a_cap_is_not_taken_for_a_bad_place() {
        Option free = option("Roof dome", OptionalDouble.of(0), OptionalDouble.empty());
        Option held = new Option(
                "Roof dome", "Brissa", OptionalDouble.of(0), 0, OptionalDouble.of(5), OptionalDouble.empty());
        for (int stay = 0; stay < 10; stay++) {
            run(free, stay, stay, -85, 20);
            run(held, stay, stay, -85, 5);
        }
        Experience experience = Experience.of(log, List.of(free, held), Optional.empty());
        log.add(PastMeasurement.phone(false, "Brissa", 100, 100, 999, DayPart.DAY, -85));
        List<Outlook> both = experience.outlooks(List.of(free, held), HERE);
        assertTrue(both.get(1).up().middle() > 4);
        assertEquals(5, both.get(1).up().high());
        assertTrue(both.get(0).up().middle() > 12, both.get(0).up().middle() + "");
    }

    @Test
    void an_empty_log_still_answers_and_an_unknown_option_is_named() {
        Experience none = Experience.of(List.of(), List.of(DOME), Optional.empty());
        double chance = none.outlooks(List.of(DOME), HERE).get(0).chance(UPLOAD);
        assertTrue(chance > 0.3 && chance < 0.8, chance + "");
        IllegalArgumentException refused =
                assertThrows(IllegalArgumentException.class, () -> none.outlooks(List.of(MAST), HERE));
        assertEquals("Mast panel on Tarnwave was not among the options", refused.getMessage());
    }

    private static NeededHours now(Outlook.RunRequirement asked) {
        return new NeededHours(HERE.part(), "", NeededHours.NOW, asked);
    }
}

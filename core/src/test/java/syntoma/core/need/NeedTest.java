package syntoma.core.need;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class NeedTest {
    private static Need named(String name) {
        return BuiltInNeeds.all().stream()
                .filter(n -> n.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void worked_numbers_of_amounts_and_rates() {
        assertEquals(3.06, Transfer.mbps(11, 8), 0.005);
        assertEquals(0.375, Transfer.gb(300, 10), 1e-12);
        Duration time = Transfer.time(11, 12.4);
        assertEquals(1, time.toHours());
        assertEquals(58, time.toMinutesPart());
        assertThrows(IllegalArgumentException.class, () -> Transfer.mbps(11, 0));
    }

    @Test
    void the_built_in_needs_have_their_thresholds() {
        Need calls = named("Video calls");
        assertEquals(OptionalDouble.of(3), calls.upMbps());
        assertEquals(OptionalDouble.of(250), calls.loadedMs());
        assertEquals(OptionalDouble.of(2), calls.lossPct());
        assertTrue(named("HD film").upMbps().isEmpty());
        assertEquals(3.06, named("Large uploads").upMbps().orElseThrow(), 0.005);
        assertEquals(6, BuiltInNeeds.all().size());
    }

    @Test
    void needs_of_the_same_hours_add_up_and_the_hardest_hours_count() {
        Requirement both = Requirement.of(List.of(named("Video calls"), named("HD film"), named("Mail and maps")));
        assertEquals(9, both.downMbps().orElseThrow(), 1e-9);
        assertEquals(3.3, both.upMbps().orElseThrow(), 1e-9);
        assertEquals(250, both.loadedMs().orElseThrow());
        assertEquals(
                List.of(PartOfDay.WORK_HOURS, PartOfDay.EVENINGS),
                both.parts().stream().map(Requirement.PerPart::part).toList());
        // 6 Mb/s for 3 h, 8 for 2 h, 1.3 for 1 h, over 30 days
        assertEquals((6 * 3 + 8 * 2 + 1.3) * 3600 / 8000 * 30, both.gbAMonth(), 1e-6);
    }

    @Test
    void no_need_asks_for_nothing() {
        Requirement none = Requirement.of(List.of());
        assertTrue(none.downMbps().isEmpty() && none.parts().isEmpty());
        assertEquals(0, none.gbAMonth());
    }

    @Test
    void bad_thresholds_are_refused() {
        assertThrows(IllegalArgumentException.class, () -> BuiltInNeeds.upload(-1, 8));
        assertThrows(IllegalArgumentException.class, () -> PartOfDay.fromLabel("noon"));
    }

    @Test
    void what_is_asked_for_is_said_in_a_sentence_with_its_units() {
        Need calls = new Need(
                "Video calls",
                OptionalDouble.of(3),
                OptionalDouble.of(3),
                OptionalDouble.of(250),
                OptionalDouble.empty(),
                PartOfDay.fromLabel("work hours"),
                1);
        // 6 Mb/s for an hour a day: 2.7 GB, 81 GB in 30 days
        assertEquals(
                "Video calls: 3 Mb/s down, 3 Mb/s up, at most 250 ms under load, about 81 GB a month.",
                Requirement.sentence(List.of(calls)));
        assertEquals("Say what the connection is for, and gear can be judged by it.", Requirement.sentence(List.of()));
        assertEquals(
                "11 GB at 3 Mb/s takes 8 h 9 min",
                Requirement.of(List.of(calls)).uploadTime(11).orElseThrow());
        assertTrue(Requirement.of(List.of()).uploadTime(11).isEmpty());
    }
}

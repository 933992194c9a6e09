package syntoma.core.roof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PassageTest {
    private static final Passage FOUR =
            new Passage(Collections.nCopies(4, new Passage.Lead(5, 9)), 0, OptionalDouble.empty());

    @Test
    void four_leads_of_5_mm_with_plugs_of_9_mm() {
        assertEquals(15.0, FOUR.oneAtATimeMm(), 0.05, "three cables and a plug");
        assertEquals(21.7, FOUR.allAtOnceMm(), 0.05, "all plugs at once");
        assertEquals(5 * (1 + Math.sqrt(2)), FOUR.cablesMm(), 0.01);
        assertEquals(16, FOUR.bore().sawMm().orElseThrow());
        assertTrue(
                FOUR.bore().notes().get(0).toString().contains("15.0 mm"),
                FOUR.bore().notes().toString());
    }

    /** The smallest circles around equal circles, as multiples of theirs (Kravitz 1967; Graham and others 1998). */
    @ParameterizedTest
    @CsvSource({
        "1, 1",
        "2, 2",
        "3, 2.154701",
        "4, 2.414214",
        "5, 2.701302",
        "6, 3",
        "7, 3",
        "8, 3.304765",
        "9, 3.613126",
        "10, 3.813026"
    })
    void equal_circles_as_they_are_known(int circles, double ratio) {
        assertEquals(ratio, Packing.diameter(Collections.nCopies(circles, 1.0)), 5e-4);
    }

    @Test
    void a_small_one_lies_in_the_gap_between_larger_ones() {
        double gap = 2 / Math.sqrt(3) - 1;
        assertEquals(1 + 2 / Math.sqrt(3), Packing.diameter(List.of(1.0, 1.0, 1.0, 0.99 * gap)), 1e-3);
        assertEquals(10, Packing.diameter(List.of(6.0, 4.0)), 1e-6);
        assertEquals(10, Packing.diameter(List.of(6.0, 4.0, 1.0)), 1e-3);
    }

    @Test
    void the_stem_of_the_antenna_decides_where_it_is_wider() {
        Passage stem = new Passage(FOUR.leads(), 22, OptionalDouble.empty());
        assertEquals(22, stem.bore().holeMm());
        assertEquals(22, stem.bore().sawMm().orElseThrow());
        assertTrue(stem.bore().notes().toString().contains("own stem is wider"));
    }

    @Test
    void the_makers_hole_wins_and_what_does_not_pass_it_is_said() {
        Passage wide = new Passage(FOUR.leads(), 0, OptionalDouble.of(22));
        assertEquals(22, wide.bore().holeMm());
        assertEquals(22, wide.bore().sawMm().orElseThrow());
        assertTrue(wide.bore().passes());
        assertEquals(
                "That is the hole the antenna’s maker asks for.",
                wide.bore().notes().get(0).toString());
        Passage narrow = new Passage(FOUR.leads(), 0, OptionalDouble.of(12));
        assertEquals(12, narrow.bore().holeMm());
        assertFalse(narrow.bore().passes());
        assertTrue(narrow.bore()
                .notes()
                .get(0)
                .toString()
                .startsWith("The plugs do not fit through the maker’s hole of 12.0 mm: they need"));
    }

    /** A hole of 16.02 mm is shown as 16.0: the saw of 16 mm makes it. */
    @Test
    void a_saw_is_chosen_for_what_is_shown() {
        assertEquals(16, Passage.sawFor(16.02).orElseThrow());
        assertEquals(19, Passage.sawFor(16.2).orElseThrow());
        assertTrue(Passage.sawFor(80).isEmpty());
    }

    @Test
    void a_duct_is_filled_by_the_sections_of_its_cables() {
        assertEquals(4 * 25 / 400.0, FOUR.fill(20), 1e-12);
        assertTrue(FOUR.tooFull(20).isEmpty());
        assertEquals(
                "They fill 69 % of the duct; over 40 % they are hard to pull through bends.",
                FOUR.tooFull(12).orElseThrow().toString());
    }

    @Test
    void any_of_unlike_leads_can_be_drawn_out_again() {
        Passage unlike =
                new Passage(List.of(new Passage.Lead(5, 9), new Passage.Lead(3, 14)), 0, OptionalDouble.empty());
        assertEquals(19, unlike.oneAtATimeMm(), 0.01, "the wide plug beside the thick cable");
        assertEquals(23, unlike.allAtOnceMm(), 0.01);
    }

    @Test
    void what_is_no_lead_is_refused() {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> new Passage.Lead(5, 4))
                .getMessage()
                .startsWith("plug is 4 mm; allowed is 5 to 60 mm"));
        assertThrows(IllegalArgumentException.class, () -> new Passage(List.of(), 0, OptionalDouble.empty()));
        assertThrows(IllegalArgumentException.class, () -> Packing.diameter(List.of(1.0, 0.0)));
    }
}

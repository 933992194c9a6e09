package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.CellsApart.CellOfRound;

/** Two setups on other cells or bands: said next to the verdict, with whether the difference remains. */
class CellsApartTest {
    private static final Instant NOON = Instant.parse("2026-08-14T09:00:00Z");

    private final List<Sample> samples = new ArrayList<>();
    private final List<CellOfRound> served = new ArrayList<>();
    private int round;

    /** One round: the upload of both, and by which cell and band each was served. */
    private CellsApartTest round(double dome, String domeAt, double panel, String panelAt) {
        round++;
        add("Roof dome", dome, domeAt, 0);
        add("Mast panel", panel, panelAt, 300);
        return this;
    }

    private void add(String setup, double value, String at, int laterS) {
        String[] cellAndBand = at.split("/", -1);
        Instant when = NOON.plusSeconds(1_000L * round + laterS);
        samples.add(new Sample(
                when,
                1,
                "Tarnwave",
                setup,
                "T",
                OptionalInt.of(round),
                cellAndBand[1],
                true,
                OptionalDouble.of(value)));
        served.add(new CellOfRound(setup, when, cellAndBand[0], cellAndBand[1]));
    }

    private Comparison comparison(Figure figure) {
        return Comparer.unplanned(figure, samples).pair("Roof dome", "Mast panel");
    }

    private Optional<String> said() {
        return CellsApart.sentence(comparison(Figure.UP_MBPS), served);
    }

    @Test
    void one_setup_always_on_another_cell_is_said_as_what_may_be_the_cause() {
        for (int i = 0; i < 5; i++) {
            round(4 + i * 0.1, "12/B20", 9 + i * 0.2, "77/B3");
        }
        assertEquals(
                "In 5 of 5 rounds Mast panel was on another cell than Roof dome (B3 and B20): that alone can make the"
                        + " difference. No round had both on the same cell.",
                said().orElse(""));
    }

    @Test
    void where_three_rounds_are_on_the_same_cell_they_say_whether_it_remains() {
        round(4, "12/B20", 9, "77/B3").round(4.1, "12/B20", 9.2, "77/B3").round(3.9, "12/B20", 9.1, "77/B3");
        round(4, "12/B20", 9.2, "77/B3");
        round(4, "12/B20", 4.1, "12/B20").round(4, "12/B20", 4.2, "12/B20").round(4, "12/B20", 4, "12/B20");
        assertTrue(
                said().orElse("")
                        .endsWith("In the 3 rounds on the same cell it is ×1.02: the difference does not remain."),
                said().toString());
    }

    @Test
    void the_same_cell_in_most_rounds_or_none_known_says_nothing() {
        round(4, "12/B20", 9, "12/B20").round(4, "12/B20", 9, "12/B20").round(4, "12/B20", 9, "77/B3");
        assertEquals(Optional.empty(), said());
        samples.clear();
        served.clear();
        round(4, "/", 9, "/").round(4, "/", 9, "/").round(4, "/", 9, "/");
        assertEquals(Optional.empty(), said());
    }

    @Test
    void bands_alone_are_told_apart_where_no_cell_is_known() {
        for (int i = 0; i < 3; i++) {
            round(4, "/B20", 9, "/B3");
        }
        assertTrue(said().orElse("")
                .startsWith("In 3 of 3 rounds Mast panel was on another band than Roof dome (B3 and B20)"));
    }

    @Test
    void levels_on_different_bands_are_not_comparable_and_it_is_said_how_many() {
        for (int i = 0; i < 5; i++) {
            round(-95, "12/B20", -99, "77/B3");
        }
        Comparison levels = comparison(Figure.RSRP_DBM);
        assertEquals(5, levels.bandsApart().orElseThrow().rounds());
        assertTrue(
                levels.sentence()
                        .startsWith("RSRP was measured on different bands, B20 and B3 (Roof dome and Mast panel): not"
                                + " comparable in five rounds."),
                levels.sentence());
    }

    @Test
    void rounds_on_different_bands_are_a_caution_beside_those_that_are_comparable() {
        for (int i = 0; i < 3; i++) {
            round(-95, "12/B20", -90 - i, "12/B20");
        }
        round(-95, "12/B20", -99, "77/B3");
        List<String> cautions = Cautions.of(
                List.of(comparison(Figure.RSRP_DBM)), Circumstances.of(List.of()), new JudgingRules(true, 1, 0, 0));
        assertTrue(
                cautions.contains(
                        "One round had the two setups on different bands (B20 and B3), and is left out for RSRP."),
                cautions.toString());
    }
}

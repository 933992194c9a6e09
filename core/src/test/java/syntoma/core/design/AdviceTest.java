package syntoma.core.design;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import syntoma.core.state.Rig;
import syntoma.core.state.Work;
import syntoma.core.verdict.SetupChoice;
import syntoma.core.verdict.Verdict;

class AdviceTest {
    private static Contender on(String setup, String antenna, double raisedM, String bands) {
        return new Contender(
                setup, Rig.of("Curlew").antenna(antenna, raisedM).bands(bands).arrangement());
    }

    private static final Contender DOME = on("Dome", "Alder", 0.0, "automatic");
    private static final Contender MAST = on("Mast", "Rowan", 3.0, "automatic");
    private static final Contender HELD = on("Dome, B3", "Alder", 0.0, "B3");

    /** A mast takes 10 min up and 6 down, and its leads 4 each time. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NO_DIFFERENCE|Use Dome and leave Mast: it costs 24 min more a stay and gains nothing that matters here.",
                "SLIGHTLY_BETTER|Use Dome and leave Mast: it costs 24 min more a stay and gains nothing that matters here.",
                "BETTER|Use Mast here: it is worth the extra 24 min at each stay.",
                "WORSE|Use Dome here.",
                "CANNOT_TELL|Until that is known, use Dome: it is 24 min less work a stay."
            })
    void says_what_to_do_by_what_it_takes(Verdict verdict, String said) {
        assertEquals(said, Advice.of(DOME, MAST, verdict, side(verdict), Work.usual(), false));
    }

    @Test
    void a_band_sweep_ends_in_holding_a_band_or_in_automatic() {
        assertEquals(
                "Hold Curlew to B3 here, and unlock the bands when you leave.",
                Advice.of(DOME, HELD, Verdict.BETTER, side(Verdict.BETTER), Work.usual(), false));
        assertEquals(
                "Leave it on automatic here.",
                Advice.of(DOME, HELD, Verdict.NO_DIFFERENCE, side(Verdict.NO_DIFFERENCE), Work.usual(), false));
        assertEquals(
                "Leave it on automatic here.",
                Advice.of(HELD, DOME, Verdict.BETTER, side(Verdict.BETTER), Work.usual(), false));
    }

    @Test
    void the_one_that_is_as_good_and_less_work_is_used() {
        assertEquals(
                "Use Dome and leave Mast: it costs 24 min more a stay and gains nothing that matters here.",
                Advice.of(MAST, DOME, Verdict.NO_DIFFERENCE, side(Verdict.NO_DIFFERENCE), Work.usual(), false));
    }

    private static SetupChoice.Side side(Verdict verdict) {
        return switch (verdict) {
            case BETTER -> SetupChoice.Side.CANDIDATE;
            case WORSE -> SetupChoice.Side.BASELINE;
            default -> SetupChoice.Side.EITHER;
        };
    }

    /** What the other does for the need outweighs that it is more work. */
    @Test
    void the_one_that_meets_the_need_is_used_although_the_figures_do_not_tell() {
        assertEquals(
                "Use Mast here: it is worth the extra 24 min at each stay.",
                Advice.of(DOME, MAST, Verdict.CANNOT_TELL, SetupChoice.Side.CANDIDATE, Work.usual(), false));
    }
}

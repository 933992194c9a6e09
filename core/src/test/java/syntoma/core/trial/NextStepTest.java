package syntoma.core.trial;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import syntoma.core.trial.NextStep.Step;

/** What is measured next in a trial by hand. */
class NextStepTest {
    private static final List<Step> FIRST = List.of(new Step(1, "Dome"), new Step(1, "Panel"));

    private static List<Step> and(Step... more) {
        List<Step> all = new java.util.ArrayList<>(FIRST);
        all.addAll(List.of(more));
        return all;
    }

    @Test
    void the_first_round_says_itself_which_setups_there_are() {
        assertEquals(new NextStep(1, Optional.empty()), NextStep.after(List.of()));
        assertEquals(new NextStep(1, Optional.empty()), NextStep.after(FIRST));
    }

    @Test
    void a_round_that_is_not_whole_lacks_the_next_of_the_round_before() {
        assertEquals(new NextStep(2, Optional.of("Panel")), NextStep.after(and(new Step(2, "Dome"))));
        assertEquals(new NextStep(2, Optional.of("Dome")), NextStep.after(and(new Step(2, "Panel"))));
    }

    @Test
    void a_whole_round_is_followed_by_the_next() {
        assertEquals(
                new NextStep(3, Optional.of("Panel")), NextStep.after(and(new Step(2, "Panel"), new Step(2, "Dome"))));
    }
}

package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import net.jqwik.api.constraints.Size;

/** What is computed the short way equals what is computed the long way. */
class ShortcutsTest {
    private static final Spread SPREAD = new Spread(0.02, Optional.empty());

    /** Holm's adjusted p-value is under the level just where the p-value is under its threshold. */
    @Property(tries = 300)
    void the_threshold_decides_as_the_adjusted_p_value_does(
            @ForAll @Size(min = 1, max = 10) List<@DoubleRange(min = 0.0001, max = 0.2) @Scale(4) Double> p) {
        for (int i = 0; i < p.size(); i++) {
            List<Double> others = new ArrayList<>(p);
            others.remove(i);
            assertEquals(adjusted(p, i) < 0.05, p.get(i) < Holm.threshold(others, 0.05), p + " at " + i);
        }
    }

    /** By the definition: the largest of (m − j) times the j-th smallest, over all that are no larger. */
    private static double adjusted(List<Double> p, int of) {
        List<Double> sorted = p.stream().sorted().toList();
        double running = 0;
        for (int j = 0; j < sorted.size() && sorted.get(j) <= p.get(of); j++) {
            running = Math.max(running, (sorted.size() - j) * sorted.get(j));
        }
        return running;
    }

    @Property(tries = 300)
    void leaving_one_out_is_the_effect_of_the_others(
            @ForAll @Size(min = 3, max = 20) List<@DoubleRange(min = -5, max = 5) Double> values) {
        LeaveOneOut others = new LeaveOneOut(array(values), SPREAD);
        for (int i = 0; i < values.size(); i++) {
            List<Double> rest = new ArrayList<>(values);
            rest.remove(i);
            Effect wanted = SPREAD.effect(array(rest));
            Effect given = others.without(i);
            assertEquals(wanted.rounds(), given.rounds());
            assertEquals(wanted.mean().orElseThrow(), given.mean().orElseThrow(), 1e-9);
            assertEquals(wanted.sd().orElseThrow(), given.sd().orElseThrow(), 1e-6);
        }
    }

    private static double[] array(List<Double> values) {
        return values.stream().mapToDouble(v -> v).toArray();
    }
}

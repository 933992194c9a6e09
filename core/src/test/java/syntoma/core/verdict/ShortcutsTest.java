package syntoma.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;

/** What is computed the short way equals what is computed the long way. */
class ShortcutsTest {
    @Property(tries = 300)
    void the_hodges_lehmann_estimate_is_the_median_of_all_pairwise_means(
            @ForAll @Size(min = 1, max = 30) List<@DoubleRange(min = -5, max = 5) Double> values) {
        List<Double> means = new ArrayList<>();
        for (int i = 0; i < values.size(); i++) {
            for (int j = i; j < values.size(); j++) {
                means.add((values.get(i) + values.get(j)) / 2);
            }
        }
        means.sort(null);
        double median = (means.get((means.size() - 1) / 2) + means.get(means.size() / 2)) / 2;
        assertEquals(median, HodgesLehmann.of(array(values)), 1e-12);
    }

    @Property(tries = 300)
    void leaving_one_out_is_the_effect_of_the_others(
            @ForAll @Size(min = 3, max = 20) List<@DoubleRange(min = -5, max = 5) Double> values) {
        LeaveOneOut others = new LeaveOneOut(array(values));
        for (int i = 0; i < values.size(); i++) {
            List<Double> rest = new ArrayList<>(values);
            rest.remove(i);
            Effect wanted = Effect.of(array(rest));
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

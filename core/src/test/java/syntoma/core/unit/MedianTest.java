package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.List;
import org.junit.jupiter.api.Test;

class MedianTest {
    @Test
    void is_the_middle_or_the_mean_of_the_two_in_the_middle() {
        assertEquals(4, Median.of(4));
        assertEquals(5, Median.of(9, 1, 5));
        assertEquals(4.5, Median.of(List.of(9.0, 1.0, 5.0, 4.0)));
    }

    @Test
    void leaves_the_values_in_their_order() {
        double[] values = {3, 1, 2};
        assertEquals(2, Median.of(values));
        assertArrayEquals(new double[] {3, 1, 2}, values);
    }

    @Test
    void of_nothing_there_is_none() {
        assertThrows(IllegalArgumentException.class, () -> Median.of(List.of()));
    }
}

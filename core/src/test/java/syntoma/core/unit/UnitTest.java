package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12.4|12.4",
                "12.4 Mb/s|12.4",
                "1,5 MB/s|12.0",
                "800 kbit/s|0.8",
                "2 Gbps|2000.0",
                "3 Mbytes/s|24.0",
                "500 kB/s|4.0",
                "8 bit/s|0.000008",
                "1 MBps|8.0"
            })
    void rates_are_read_with_their_unit(String text, double mbps) {
        assertEquals(mbps, DataRate.parse(text).mbps(), 1e-12);
    }

    @Test
    void a_rate_says_which_unit_it_was_read_in() {
        assertFalse(DataRate.parse("7.9").isUnitStated());
        assertTrue(DataRate.parse("7.9 Mb/s").isUnitStated());
        assertFalse(DataRate.parse("7.9 Mb/s").isInBytes());
        assertTrue(DataRate.parse("7.9 MB/s").isInBytes());
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "fast", "-3", "12 M", "1.2.3", "5 dB", "NaN"})
    void what_is_no_rate_is_refused_by_name(String text) {
        var error = assertThrows(IllegalArgumentException.class, () -> DataRate.parse(text));
        assertTrue(error.getMessage().contains("“" + text + "”"));
    }

    @Property
    void megabytes_are_eight_times_megabits(@ForAll @DoubleRange(min = 0.001, max = 10000) @Scale(3) double value) {
        String number = BigDecimal.valueOf(value).toPlainString();
        assertEquals(
                8 * DataRate.parse(number + " Mb/s").mbps(),
                DataRate.parse(number + " MB/s").mbps(),
                1e-9);
    }

    @Test
    void numbers_carry_the_typographic_minus_and_no_negative_zero() {
        assertEquals("−97", Values.format(-97));
        assertEquals("2.5", Values.format(2.5));
        assertEquals("0.0001", Values.format(1e-4));
        assertEquals("−0.5", Values.round(-0.46, 1));
        assertEquals("0.0", Values.round(-0.04, 1));
    }
}

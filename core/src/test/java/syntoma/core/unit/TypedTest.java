package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers and texts as people type and copy them. */
class TypedTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12.5|12.5",
                "12,5|12.5",
                " 7 |7",
                "-97|-97",
                "\u221297|-97",
                "\u201397|-97",
                "+3|3",
                ".5|0.5",
                "5.|5",
                "1e3|1000",
                "2.5E-3|0.0025",
                "007|7"
            })
    void what_people_type_as_a_number_is_one(String text, double value) {
        assertEquals(OptionalDouble.of(value), Values.typed(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "-",
                ".",
                ",",
                "e5",
                "1e",
                "abc",
                "1.2.3",
                "1,234.5",
                "NaN",
                "Infinity",
                "0x10",
                "5f",
                "5d",
                "1e400",
                "1 2",
                "½",
                "١٢",
                "12dB",
                "--1",
                "1e9999"
            })
    void nothing_else_is(String text) {
        assertTrue(Values.typed(text).isEmpty(), text);
    }

    @Property
    void a_number_that_is_written_plainly_comes_back(
            @ForAll @Scale(6) @DoubleRange(min = -1e9, max = 1e9) double value) {
        String plain = BigDecimal.valueOf(value).toPlainString();
        assertEquals(value, Values.typed(plain).orElseThrow());
        assertEquals(value, Values.typed(plain.replace('.', ',')).orElseThrow());
        assertEquals(value, Values.typed(Values.format(value)).orElseThrow());
    }

    @Property
    void any_text_is_a_number_or_none_and_never_a_fault(@ForAll String text) {
        Values.typed(text).ifPresent(value -> assertTrue(Double.isFinite(value)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'\u00a0Amber\u00a0Spit '|Amber Spit",
                "'\ufeffAmber Spit'|Amber Spit",
                "'Amber\u200bSpit'|AmberSpit",
                "'1\u202f234'|1 234",
                "'a\u2009b'|a b"
            })
    void blanks_that_only_look_so_are_blanks(String text, String plain) {
        assertEquals(plain, Text.normalise(text));
    }

    @Property
    void plain_text_stays_plain(@ForAll String text) {
        String plain = Text.normalise(text);
        assertEquals(plain, Text.normalise(plain));
        assertTrue(plain.length() <= text.length());
    }
}

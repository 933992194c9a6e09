package syntoma.core.sentence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import syntoma.core.power.Wire;

class SentenceTest {
    private record Written(Part part, String metric, String imperial) {}

    /** By the exact factors of NIST SP 811, appendix B.8, worked by hand. */
    static List<Written> quantities() {
        return List.of(
                new Written(Quantity.metres(4.5), "4.5 m", "14.8 ft"),
                new Written(Quantity.metres(0.3048), "0.3048 m", "1 ft"),
                new Written(Quantity.metres(0.05), "0.05 m", "2 in"),
                new Written(Quantity.metres(0), "0 m", "0 ft"),
                new Written(Quantity.metres(57.2, 0), "57 m", "188 ft"),
                new Written(Quantity.metres(-1.1, 1), "−1.1 m", "−3.6 ft"),
                new Written(Quantity.drawnLength(0.5), "0.50 m", "19.7 in"),
                new Written(Quantity.height(2.86), "2.86 m", "9 ft 5 in"),
                new Written(Quantity.height(3.0448), "3.04 m", "10 ft 0 in"),
                new Written(Quantity.height(0.2), "0.20 m", "8 in"),
                new Written(Quantity.kilometres(12.4, 1), "12.4 km", "7.7 mi"),
                new Written(Quantity.centimetres(40), "40 cm", "15.7 in"),
                new Written(Quantity.millimetres(32), "32 mm", "1.26 in"),
                new Written(Quantity.millimetres(15.04, 1), "15.0 mm", "0.59 in"),
                new Written(Quantity.squareCentimetres(400), "400 cm²", "62 in²"),
                new Written(Quantity.celsius(45), "45 °C", "113 °F"),
                new Written(Quantity.celsius(-40), "−40 °C", "−40 °F"),
                new Written(Quantity.kilograms(9), "9 kg", "19.8 lb"),
                new Written(Wire.of(2.5), "2.5 mm²", "AWG 12"));
    }

    @ParameterizedTest
    @MethodSource("quantities")
    void a_quantity_is_written_in_either_system(Written written) {
        assertEquals(written.metric, written.part.in(UnitSystem.METRIC));
        assertEquals(written.imperial, written.part.in(UnitSystem.IMPERIAL));
    }

    @Test
    void a_sentence_keeps_its_quantities_when_it_becomes_part_of_another() {
        Sentence needs = Sentence.of("the leads need ", Quantity.metres(1.4, 1), " more");
        Sentence all = Sentence.of("Inlet: ", needs, "; they pass its ", Quantity.millimetres(28), ".");
        assertEquals("Inlet: the leads need 1.4 m more; they pass its 28 mm.", all.toString());
        assertEquals("Inlet: the leads need 4.6 ft more; they pass its 1.10 in.", all.in(UnitSystem.IMPERIAL));
        assertEquals(all.toString().length(), all.length());
        assertEquals("Inlet", all.subSequence(0, 5).toString());
        assertEquals(':', all.charAt(5));
    }

    @Test
    void sentences_are_equal_by_what_they_say_however_they_were_joined() {
        assertEquals(Sentence.of("It fits."), Sentence.of("It ", "", "fits", "."));
        assertEquals(
                Sentence.of("a, ", Quantity.metres(2), ", b"),
                Sentence.join(", ", List.of("a", Sentence.of(Quantity.metres(2)), "b")));
        assertNotEquals(Sentence.of("2 m"), Sentence.of(Quantity.metres(2)), "words have no other unit");
        assertEquals(Sentence.EMPTY, Sentence.join(", ", List.of()));
    }
}

package syntoma.core.tabletext;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BandTextTest {
    @ParameterizedTest
    @CsvSource({
        "3, '', B3",
        "3, LTE, B3",
        "20.0, 4G, B20",
        "03, '', B3",
        "b7, '', B7",
        "Band 20, '', B20",
        "LTE 8, '', B8",
        "LTE Band 28, NR, B28",
        "78, NR, n78",
        "78, 5G, n78",
        "78, NSA, B78",
        "n78, LTE, n78",
        "N1, '', n1",
        "NR 41, '', n41",
        "B3+B20, '', B3+B20",
        "800 MHz, '', 800 MHz",
        "1800, '', 1800"
    })
    void aNameOfABandIsWrittenInOneWay(String cell, String technology, String expected) {
        assertEquals(expected, BandText.of(cell, technology));
    }
}

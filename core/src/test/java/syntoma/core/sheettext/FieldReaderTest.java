package syntoma.core.sheettext;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a person types into one field the way leaflets write it. */
class FieldReaderTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "€ 399,00||399",
                "399,- €||399",
                "EUR 1.299,00||1299",
                "$ 1,299||1299",
                "1.299 €||1299",
                "2×2||2",
                "4x4||4",
                "0.7 GHz|MHz|700",
                "3,3 GHz|MHz|3300",
                "698 MHz|MHz|698",
                "12 V|V|12",
                "80 mm|m|0.08",
                "15 ft|m|4.572",
                "20 × 20 cm|cm²|400",
                "600 x 600 mm|cm²|3600",
                "1.2 Gbps|Mb/s|1200",
                "300 Mbit/s|Mb/s|300",
                "5 dBi|dBi|5",
                "-2 dBi|dBi|-2",
                "−2 dBi|dBi|-2",
                "1 TB|GB|1000"
            })
    void a_number_with_its_unit(String text, String unit, double expected) {
        assertEquals(
                expected, FieldReader.number(text, unit == null ? "" : unit).orElseThrow(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"12 V|MHz", "9-30 V|V", "about 12 V|V", "2x3|", "12 V and 24 V|V", "x|V", "12 V 3 A|V", "5 €|V"})
    void anything_else_is_no_number(String text, String unit) {
        assertEquals(OptionalDouble.empty(), FieldReader.number(text, unit == null ? "" : unit));
        assertEquals(OptionalDouble.empty(), FieldReader.number("9".repeat(61), "V"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "LTE B1/B3/B7|B1 B3 B7",
                "B3 B20 n78|B3 B20 n78",
                "b3, b20; N78|B3 B20 n78",
                "4G: 1, 3, 7 and 20|B1 B3 B7 B20",
                "5G: n1/3/78|n1 n3 n78",
                "LTE 1/3 NR 78|B1 B3 n78",
                "n77/78|n77 n78"
            })
    void bands_as_leaflets_list_them(String text, String expected) {
        assertEquals(List.of(expected.split(" ")), FieldReader.bands(text));
    }

    @Test
    void what_is_no_band_is_named() {
        for (String wrong : List.of("B3 boat", "B999", "3", "n9999")) {
            String message = assertThrows(IllegalArgumentException.class, () -> FieldReader.bands(wrong))
                    .getMessage();
            assertTrue(message.contains("no band is named"), message);
        }
    }

    @Test
    void a_few_words_make_rows() {
        List<Map<String, Object>> ports = FieldReader.rows("ports", "4 × SMA");
        assertEquals(4, ports.size());
        assertEquals(Map.of("label", "1", "use", "cellular", "connector", "SMA-female", "main", true), ports.get(0));
        List<Map<String, Object>> leads = FieldReader.rows("leads", "2 x SMA-male LTE, 1 x SMA-male GPS, 3 m");
        assertEquals(
                List.of("cellular", "cellular", "GNSS"),
                leads.stream().map(r -> r.get("use")).toList());
        assertEquals(3.0, leads.get(0).get("lengthM"));
        assertEquals(
                List.of(Map.of("fromMhz", 698.0, "toMhz", 960.0, "fromDbi", 3.0, "toDbi", 3.0)),
                FieldReader.rows("ranges", "698-960 MHz 3 dBi"));
        assertEquals(List.of(Map.of("fromMhz", 832.0, "toMhz", 862.0)), FieldReader.rows("uplink", "832-862 MHz"));
        assertEquals(List.of(), FieldReader.rows("ports", "many"));
    }
}

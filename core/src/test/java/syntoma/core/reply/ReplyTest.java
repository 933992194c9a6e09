package syntoma.core.reply;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReplyTest {
    /** A group of names and values in turn. */
    private static Node group(Object... parts) {
        Map<String, Node> named = new LinkedHashMap<>();
        for (int i = 0; i < parts.length; i += 2) {
            named.put(
                    (String) parts[i],
                    parts[i + 1] instanceof Node node ? node : new Node.Value(parts[i + 1].toString()));
        }
        return new Node.Group(named);
    }

    private static RouterReading read(Node answer) {
        return Proposal.of(answer).read(answer);
    }

    private static final Node ONE = group(
            "device", group("uptime", 12345, "temperature", 41),
            "modem",
                    group(
                            "operator",
                            "Tarnwave",
                            "mode",
                            "5G NSA",
                            "lte",
                            group(
                                    "band",
                                    "B20",
                                    "earfcn",
                                    6300,
                                    "rsrp",
                                    "-97 dBm",
                                    "rsrq",
                                    -11.5,
                                    "sinr",
                                    "12 dB",
                                    "pci",
                                    211,
                                    "bandwidth",
                                    "10 MHz",
                                    "cell_id",
                                    "0x1A2B3C4"),
                            "nr",
                            group("band", 78, "arfcn", 632628, "ss_rsrp", -101, "ss_sinr", 7.5)));

    @Test
    void names_and_units_say_which_value_is_which() {
        Mapping mapping = Proposal.of(ONE);
        assertEquals("/modem/lte/rsrp", mapping.pointers().get("primary.rsrpDbm"));
        assertEquals("/modem/nr/ss_rsrp", mapping.pointers().get("nr.rsrpDbm"));
        assertEquals("/modem/operator", mapping.pointers().get("carrier"));
        RouterReading reading = read(ONE);
        assertEquals(Optional.of("NR-NSA"), reading.mode());
        assertEquals(Optional.of("Tarnwave"), reading.carrier());
        assertEquals(List.of(), reading.problems());
        Cell lte = reading.cells().get(0);
        assertEquals(Role.PRIMARY, lte.role());
        assertEquals(Optional.of("LTE"), lte.rat());
        assertEquals(Optional.of("B20"), lte.band());
        assertEquals(Optional.of(6300), lte.arfcn());
        assertEquals(Optional.of(10.0), lte.bandwidthMhz());
        assertEquals(Optional.of(211), lte.pci());
        assertEquals(Optional.of("27440068"), lte.cellId());
        assertEquals(Optional.of(-97.0), lte.rsrpDbm());
        assertEquals(Optional.of(-11.5), lte.rsrqDb());
        assertEquals(Optional.of(12.0), lte.sinrDb());
        assertEquals(Optional.empty(), lte.rssiDbm());
        Cell nr = reading.cells().get(1);
        assertEquals(Role.NR, nr.role());
        assertEquals(Optional.of("n78"), nr.band());
        assertEquals(Optional.of(-101.0), nr.rsrpDbm());
    }

    @Test
    void a_list_of_cells_is_mapped_element_by_element() {
        Node answer = group(
                "net",
                group("provider", "Ostrel", "type", "LTE"),
                "carriers",
                new Node.Series(List.of(
                        group("type", "PCC", "band", "3", "earfcn", 1300, "signal", group("rsrp", -88, "snr", 18)),
                        group("type", "SCC1", "band", "7", "signal", group("rsrp", -95, "snr", 9)))));
        Mapping mapping = Proposal.of(answer);
        assertEquals("/carriers", mapping.pointers().get("cells"));
        assertEquals("/signal/rsrp", mapping.pointers().get("cells[].rsrpDbm"));
        assertEquals("/type", mapping.pointers().get("cells[].role"));
        RouterReading reading = mapping.read(answer);
        assertEquals(
                List.of(Role.PRIMARY, Role.SECONDARY),
                reading.cells().stream().map(Cell::role).toList());
        assertEquals(Optional.of("B3"), reading.cells().get(0).band());
        assertEquals(Optional.of(9.0), reading.cells().get(1).sinrDb());
    }

    @Test
    void flat_names_hold_the_role_in_front() {
        Node answer = group(
                "network_type",
                "LTE",
                "lte_rsrp",
                "-104",
                "lte_band",
                "LTE BAND 8",
                "nr_rsrp",
                "-110",
                "nrBand",
                "n28");
        RouterReading reading = read(answer);
        assertEquals(Optional.of("B8"), reading.cells().get(0).band());
        assertEquals(Optional.of("n28"), reading.cells().get(1).band());
        assertEquals(Optional.of("NR-NSA"), reading.mode(), "an anchor with an NR leg");
    }

    @Test
    void an_nr_cell_alone_is_the_primary_one() {
        RouterReading reading = read(group("mode", "5G SA", "nr", group("rsrp", -92, "band", 78, "arfcn", 620000)));
        assertEquals(Optional.of("NR-SA"), reading.mode());
        assertEquals(Role.PRIMARY, reading.cells().get(0).role());
        assertEquals(Optional.of("NR"), reading.cells().get(0).rat());
        assertEquals(Optional.of("n78"), reading.cells().get(0).band());
    }

    @Test
    void the_band_follows_from_an_earfcn_and_never_from_an_nr_channel_alone() {
        assertEquals(
                Optional.of("B3"),
                read(group("lte", group("earfcn", 1300, "rsrp", -90)))
                        .cells()
                        .get(0)
                        .band());
        assertEquals(
                Optional.empty(),
                read(group("nr", group("nrarfcn", 620000, "rsrp", -90)))
                        .cells()
                        .get(0)
                        .band());
    }

    @ParameterizedTest
    @CsvSource({
        "rsrp, -20, RSRP is −20 dBm",
        "rsrp, -32768, means “not available”",
        "rsrp, n/a, ''",
        "sinr, 99, means “not available”",
        "sinr, 55, SINR is 55 dB",
        "pci, 600, is not between 0 and 503",
        "bandwidth, 17, is no width"
    })
    void what_no_cell_can_report_is_missing_and_said(String name, String value, String said) {
        Node answer = group("lte", group("rsrq", -10, name, value));
        RouterReading reading = read(answer);
        Cell cell = reading.cells().get(0);
        assertEquals(Optional.of(-10.0), cell.rsrqDb());
        assertEquals(Optional.empty(), cell.rsrpDbm());
        assertEquals(Optional.empty(), cell.sinrDb());
        assertEquals(Optional.empty(), cell.pci());
        assertTrue(
                String.join(";", reading.problems()).contains(said),
                reading.problems().toString());
    }

    @Test
    void nought_for_every_metric_stands_for_none_and_one_nought_does_not() {
        assertEquals(
                List.of(),
                read(group("lte", group("rsrp", 0, "rsrq", 0, "sinr", 0))).cells());
        assertEquals(
                Optional.of(0.0),
                read(group("lte", group("rsrp", -110, "sinr", 0)))
                        .cells()
                        .get(0)
                        .sinrDb());
    }

    @ParameterizedTest
    @CsvSource({
        "No service, none",
        "LTE, LTE",
        "LTE-A, LTE",
        "EN-DC, NR-NSA",
        "WCDMA, UMTS",
        "EDGE, GSM",
        "NR5G-SA, NR-SA"
    })
    void modes_have_many_names(String text, String mode) {
        assertEquals(
                Optional.of(mode),
                read(group("mode", text, "lte", group("rsrp", -90))).mode());
    }

    @ParameterizedTest
    @ValueSource(strings = {"colour", "primary.colour", "cells[].colour", "primary", "tertiary.rsrpDbm", ""})
    void a_key_that_is_none_is_refused(String key) {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> new Mapping(Map.of(key, "/a")))
                .getMessage()
                .contains("allowed are"));
    }

    @Test
    void a_pointer_that_is_none_is_refused_and_one_that_leads_nowhere_is_missing() {
        assertThrows(IllegalArgumentException.class, () -> new Mapping(Map.of("mode", "lte.rsrp")));
        assertThrows(IllegalArgumentException.class, () -> new Mapping(Map.of("mode", "/a~2")));
        Mapping mapping = new Mapping(Map.of("primary.rsrpDbm", "/a~1b/0/c", "primary.rsrqDb", "/gone/1"));
        Node answer = group("a/b", new Node.Series(List.of(group("c", -97))));
        assertEquals(Optional.of(-97.0), mapping.read(answer).cells().get(0).rsrpDbm());
        assertEquals(Optional.empty(), mapping.read(answer).cells().get(0).rsrqDb());
        assertEquals(List.of(), mapping.read(group("else", 1)).cells());
    }

    @Test
    void what_says_nothing_proposes_nothing() {
        assertTrue(Proposal.of(group("uptime", 5, "wifi", group("channel", "auto", "clients", 3)))
                .isEmpty());
        assertTrue(Proposal.of(new Node.Value("hello")).isEmpty());
    }

    @Test
    void who_corrects_a_mapping_chooses_among_the_places_of_the_answer() {
        Node cell = new Node.Group(Map.of("power", new Node.Value("-97")));
        Node answer =
                new Node.Group(Map.of("heard", new Node.Series(List.of(cell, cell)), "net", new Node.Value("Ostrel")));
        Choices listed = Choices.of(answer, new Mapping(Map.of("cells", "/heard")));
        assertEquals(List.of(new Choices.Place("/heard", "2 in it")), listed.lists());
        assertEquals(List.of(new Choices.Place("/power", "-97")), listed.elements());
        assertEquals(3, listed.values().size());
        assertTrue(listed.figures()
                .contains(new Choices.Figure("cells[].rsrpDbm", "Each cell’s RSRP", Choices.Among.ELEMENTS)));
        Choices flat = Choices.of(answer, new Mapping(Map.of()));
        assertEquals(List.of(), flat.elements());
        assertTrue(flat.figures().contains(new Choices.Figure("nr.rsrpDbm", "NR cell’s RSRP", Choices.Among.VALUES)));
        assertEquals(
                "Band B20, RSRP −97 dBm",
                new Mapping(Map.of("primary.rsrpDbm", "/a", "primary.band", "/b"))
                        .read(new Node.Group(Map.of("a", new Node.Value("-97"), "b", new Node.Value("20"))))
                        .cells()
                        .get(0)
                        .says()
                        .replace("Technology LTE, ", ""));
    }

    @Test
    void the_carrier_is_known_by_a_longer_name_too_and_no_band_is_one() {
        Node answer = new Node.Group(Map.of(
                "secondary_carrier", new Node.Value("B3"),
                "network_operator", new Node.Value("Ostrel"),
                "lte_rsrp", new Node.Value("-97")));
        assertEquals("/network_operator", Proposal.of(answer).pointers().get("carrier"));
    }
}

package syntoma.app.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.DemoLog;

/** CSV in and out, as the contract promises. */
@ApiTest(eachAnew = true)
class ImportExportTest {
    private static final String HEADER = "taken_at,campsite,setup,carrier,rsrp_dbm,up_mbps,outcome,note\n";
    private static final String GOOD = "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,Tarnwave,-97.50,4.10,ok,\n";

    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    private String export() throws Exception {
        return requests.read("/api/measurements.csv").text();
    }

    @Test
    void the_same_file_twice_adds_nothing() throws Exception {
        JsonNode first = requests.importCsv(HEADER + GOOD).json();
        assertEquals(1, first.get("accepted").asInt());
        assertEquals("[\"Quarry Lake\"]", first.at("/created/campsites").toString());
        JsonNode second = requests.importCsv(HEADER + GOOD).json();
        assertEquals(0, second.get("accepted").asInt());
        assertEquals(1, second.get("duplicates").asInt());
        assertEquals("[]", second.at("/created/setups").toString());
    }

    @Test
    void a_dry_run_judges_and_keeps_nothing() throws Exception {
        byte[] file = (HEADER + GOOD + "x,,,,,,ok,\n").getBytes(StandardCharsets.UTF_8);
        JsonNode dry = requests.importCsv(file, true).json();
        assertEquals(1, dry.get("accepted").asInt());
        assertEquals(1, dry.get("rejectedRows").asInt());
        assertEquals("[]", requests.read("/api/campsites").json().toString());
        assertEquals(1, export().lines().count());
    }

    @Test
    void an_export_keeps_offsets_and_digits_and_is_sorted() throws Exception {
        requests.importCsv(HEADER
                + "2026-08-14T18:05:00+03:00,Quarry Lake,Roof dome,Tarnwave,-97,4.1,ok,\n"
                + GOOD
                + "2026-08-14T12:00:00+02:00,Quarry Lake,Roof dome,,-90,,ok,=1+1\n");
        String[] lines = export().split("\r\n");
        assertEquals("2026-08-14T12:00:00+02:00,Quarry Lake,,,Roof dome,,,,,,,-90,,,,,,,,,,,ok,,,'=1+1", lines[1]);
        assertTrue(lines[2].startsWith("2026-08-14T18:05:00+03:00,Quarry Lake,,,Mast panel,Tarnwave,,,,,,-97.50,"));
        assertTrue(lines[2].contains(",4.10,"));
        assertTrue(lines[3].contains("Roof dome"));
    }

    @Test
    void the_import_of_an_export_changes_nothing() throws Exception {
        requests.importCsv(DemoLog.generate().csv());
        String before = export();
        JsonNode report = requests.importCsv(before).json();
        assertEquals(0, report.get("accepted").asInt());
        assertEquals(0, report.get("rejectedRows").asInt());
        assertEquals(before.lines().count() - 1, report.get("duplicates").asInt());
        assertEquals(before, export());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "2026-08-14T18:05:00,Quarry Lake,Mast panel,,-97,,ok,|taken_at|offset",
                "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,,20,,ok,|rsrp_dbm|−156 to −31",
                "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,,\"-97,5\",,ok,|rsrp_dbm|-97.5",
                "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,,-97,0,ok,|up_mbps|failed",
                "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,,,,ok,|outcome|no metric",
                "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel,,-97,,fine,|outcome|no_service",
                "2026-08-14T18:05:00+03:00,,Mast panel,,-97,,ok,|campsite|missing",
            })
    void a_bad_row_names_column_and_reason_and_the_good_ones_survive(String row, String column, String reason)
            throws Exception {
        JsonNode report = requests.importCsv(HEADER + row + "\n" + GOOD).json();
        assertEquals(1, report.get("accepted").asInt());
        JsonNode rejected = report.get("rejected").get(0);
        assertEquals(2, rejected.get("line").asInt());
        assertEquals(column, rejected.get("column").asText());
        assertTrue(rejected.get("message").asText().contains(reason), rejected.toString());
    }

    @Test
    void a_line_with_three_columns_a_long_note_and_an_open_quote_cost_only_themselves() throws Exception {
        String note = "n".repeat(10_000);
        JsonNode report = requests.importCsv(HEADER
                        + GOOD
                        + "2026-08-14T18:05:00+03:00,Quarry Lake,Mast panel\n"
                        + GOOD.replace(":05:", ":15:").replace("ok,", "ok," + note)
                        + GOOD.replace(":05:", ":25:")
                        + "\"2026-08-14T18:35:00+03:00,Quarry Lake\n")
                .json();
        assertEquals(2, report.get("accepted").asInt());
        assertEquals(3, report.get("rejectedRows").asInt());
        assertTrue(report.at("/rejected/0/message").asText().contains("3 columns"));
        assertTrue(report.at("/rejected/1/message").asText().contains("10000 characters"));
        assertTrue(report.at("/rejected/2/message").asText().contains("never closed"));
    }

    @Test
    void semicolons_decimal_commas_a_bom_and_crlf_are_read() throws Exception {
        String file = "\uFEFFtaken_at;campsite;setup;rsrp_dbm;outcome;weather\r\n"
                + "2026-08-14T18:05:00+03:00;Quarry Lake;Mast panel;-97,5;ok;rain\r\n";
        assertEquals(1, requests.importCsv(file).json().get("accepted").asInt());
        assertTrue(export().contains(",-97.5,"));
        assertTrue(export().contains("weather: rain"), "an unknown column is kept in the note");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|empty",
                "when,where|lacks taken_at, campsite, setup, outcome",
                "taken_at,campsite,setup,outcome,setup|twice",
                "PK\u0003\u0004rest|zip",
                "'\"taken_at,campsite'|never closed",
            })
    void what_is_no_file_of_measurements_is_refused_in_one_sentence(String file, String reason) throws Exception {
        Requests.Answer answer = requests.importCsv(file);
        assertEquals(400, answer.status());
        assertTrue(answer.json().get("detail").asText().contains(reason), answer.text());
    }

    @Test
    void another_encoding_is_refused_and_nothing_of_it_is_kept() throws Exception {
        byte[] latin = (HEADER
                        + GOOD
                        + GOOD.replace("Quarry Lake", "B\u00e4rlauch").replace(":05:", ":06:"))
                .getBytes(StandardCharsets.ISO_8859_1);
        Requests.Answer answer = requests.importCsv(latin, false);
        assertEquals(400, answer.status());
        assertTrue(answer.json().get("detail").asText().contains("UTF-8"));
        assertEquals(1, export().lines().count());
        assertEquals(
                400,
                requests.importCsv(HEADER.getBytes(StandardCharsets.UTF_16), false)
                        .status());
    }

    @Test
    void offsets_within_one_moment_are_the_same_moment() throws Exception {
        requests.importCsv(HEADER + GOOD);
        JsonNode report = requests.importCsv(HEADER + GOOD.replace("18:05:00+03:00", "17:05:00+02:00"))
                .json();
        assertEquals(1, report.get("duplicates").asInt());
    }

    @Test
    void many_measurements_of_one_moment_are_sorted_by_setup_and_carrier_too() throws Exception {
        int many = 10_100;
        StringBuilder file = new StringBuilder("taken_at,campsite,setup,carrier,up_mbps,outcome\n");
        for (int i = 0; i < many; i++) {
            file.append("2026-08-14T12:00:00+02:00,Amber Spit,%s,%s,%d.%02d,ok\n"
                    .formatted(i % 3 == 0 ? "Whips" : "Dome", i % 2 == 0 ? "" : "Ostrel", 1 + i / 100, i % 100));
        }
        assertEquals(
                many, requests.importCsv(file.toString()).json().get("accepted").asInt());
        String[] rows = requests.read("/api/measurements.csv").text().split("\r\n");
        assertEquals(many + 1, rows.length);
        String last = "";
        for (int i = 1; i < rows.length; i++) {
            String[] cells = rows[i].split(",", -1);
            String key = cells[4] + " " + cells[5];
            assertTrue(key.compareTo(last) >= 0, last + " before " + key);
            last = key;
        }
        assertEquals("Whips Ostrel", last);
    }
}

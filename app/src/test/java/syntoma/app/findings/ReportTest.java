package syntoma.app.findings;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static syntoma.app.findings.Camps.HEADER;
import static syntoma.app.findings.Camps.row;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;
import syntoma.standin.DemoLog;

/** The page for others to read. */
@ApiTest(eachAnew = true)
class ReportTest {
    @Autowired
    private MockMvc mvc;

    private Requests requests;

    @BeforeEach
    void open() {
        requests = new Requests(mvc);
    }

    @Test
    void the_report_needs_nothing_else_and_holds_nothing_that_was_not_wanted() throws Exception {
        requests.send("/api/demo", List.of());
        String stay = requests.read("/api/logbook").json().at("/stays/0/id").asText();
        requests.put("/api/stays/" + stay + "/note", java.util.Map.of("note", "secret cove by the alder"));
        Requests.Answer answer = requests.read("/api/report");
        assertEquals(200, answer.status());
        String page = answer.text();
        assertTrue(page.contains("Which setup earned its place?"));
        assertTrue(page.contains("<svg"));
        for (String kept : List.of(
                "<script",
                "stylesheet",
                "<img",
                "http://",
                "https://",
                "url(http",
                "@import",
                "secret cove",
                "one after the other")) {
            assertFalse(page.contains(kept), kept);
        }
        String csv = DemoLog.generate().csv();
        String[] columns = csv.lines().findFirst().orElseThrow().split(",");
        int lat = List.of(columns).indexOf("lat");
        int cell = List.of(columns).indexOf("cell_id");
        csv.lines().skip(1).forEach(line -> {
            String[] cells = line.split(",", -1);
            assertFalse(page.contains(cells[lat]), cells[lat]);
            assertFalse(page.contains(cells[lat + 1]), cells[lat + 1]);
            assertFalse(!cells[cell].isEmpty() && page.contains(cells[cell]), cells[cell]);
        });
        String coarse = requests.read("/api/report?coordinates=coarse").text();
        assertTrue(coarse.contains("63.1, 21.6"), "about where");
        assertFalse(coarse.contains("63.0942"));
        assertTrue(requests.read("/api/report?coordinates=exact").text().contains("63.0942, 21.6158"));
        assertEquals(400, requests.read("/api/report?question=why").status());
        assertEquals(400, requests.read("/api/report?coordinates=all").status());
    }

    @Test
    void names_in_a_report_are_texts_and_nothing_else() throws Exception {
        StringBuilder log = new StringBuilder(HEADER);
        for (int stay = 0; stay < 4; stay++) {
            log.append(row(stay, 0, "Base", "Tarnwave", 4)).append(row(stay, 10, "<b onload=x>", "Tarnwave", 8));
        }
        requests.importCsv(log.toString());
        String page = requests.read("/api/report?title=<i>mine</i>").text();
        assertFalse(page.contains("<b onload"));
        assertFalse(page.contains("<i>mine"));
        assertTrue(page.contains("&lt;b onload"));
    }

    @Test
    void a_question_of_one_setup_shows_it_beside_the_baseline_alone() throws Exception {
        requests.send("/api/demo", List.of());
        String page = requests.read("/api/report?question=setup-Mast panel").text();
        assertTrue(page.contains("Is Mast panel worth it over Roof dome?"));
        assertFalse(page.contains("Window whips</td>"), page);
        assertTrue(page.contains("650 measurements at 12 stays, 4 July 2026 to 5 September 2026"), "until today");
    }

    @Test
    void scales_have_marks_that_one_reads_at_a_glance() {
        String ratio = new Html()
                .intervals(
                        List.of(new Html.Line("One", 2.0, 1.2, 3.3), new Html.Line("None", null, null, null)),
                        true,
                        1.2)
                .toString();
        for (String mark : List.of(">×0.5<", ">×1<", ">×2<", ">no estimate<")) {
            assertTrue(ratio.contains(mark), mark);
        }
        assertFalse(ratio.contains(">×4<"), "beyond the end of the scale");
        String wide = new Html()
                .intervals(List.of(new Html.Line("One", 20.0, 8.0, 50.0)), true, 1.2)
                .toString();
        assertTrue(wide.contains(">×8<"), wide);
        String level = new Html()
                .intervals(List.of(new Html.Line("One", -13.0, -17.0, -9.0)), false, 3)
                .toString();
        assertTrue(level.contains(">−10<") && level.contains(">10<"), level);
    }
}

package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A spreadsheet that nobody made for Syntoma comes in through the interface. */
class SpreadsheetTest {
    private static final String TABLE =
            """
            Date,Time,Place,Router,Down,Up,Ping,Signal,Bars
            3/8/26,18:05,Pine Bend,Curlew,24.1,4.4,45,97,3
            4/8/26,9:10,Pine Bend,Curlew,2.5 MB/s,3.9,51,99,2
            """;

    @TempDir
    private Path dir;

    @Test
    void a_table_is_asked_about_once_and_then_known() {
        try (RunningApp app = RunningApp.start(dir.resolve("own"), false);
                Chromium chromium = new Chromium()) {
            Page page = chromium.open(Chromium.Look.PHONE_PAPER);
            page.navigate(app.address("/logbook?import=1"));
            choose(page);
            assertThat(page.getByText("every maker draws bars differently")).isVisible();
            assertThat(button(page, "Answer the questions above first")).isDisabled();
            page.getByLabel("Order of the dates").click();
            page.getByTitle("day first, as 14.8.2026").click();
            page.getByLabel("Time zone").fill("Europe/Helsinki");
            page.getByLabel("What the levels are").click();
            page.getByTitle("RSRP, of one cell").click();
            assertThat(page.getByText("2026-08-03T18:05:00+03:00")).isVisible();
            button(page, "Check the rows").click();
            assertThat(page.locator("h1")).containsText("2 new measurements");
            button(page, "Import 2 measurements").click();
            assertThat(page.locator("h1")).hasText("2 measurements imported.");
            assertTrue(app.read("/api/measurements?limit=2").contains("\"downMbps\":20"));
            assertThat(page.locator("header")).containsText("You last measured at Pine Bend");
            page.navigate(app.address("/logbook?import=1"));
            choose(page);
            assertThat(page.locator("h1")).containsText("2 already in the log");
            button(page, "Which column is which").click();
            assertThat(page.getByLabel("Time zone")).hasValue("Europe/Helsinki");
            sideBySide(page, app);
        }
    }

    /** Two antennas in one row, without the hour. */
    private static void sideBySide(Page page, RunningApp app) {
        page.navigate(app.address("/logbook?import=1"));
        choose(page, "Day,Camp,Dome DL,Mast DL\n2026-08-14,Pine Bend,21,34\n2026-08-15,,19,\n");
        page.getByLabel("Time zone").fill("+03:00");
        page.getByLabel("Time of day of all rows").fill("18:00");
        page.getByLabel("What an empty cell means").click();
        page.getByTitle("the same as above").click();
        page.getByLabel("What the measurements of a row are of").click();
        page.getByTitle("setups").click();
        assertThat(page.getByText("2026-08-14T18:00:01+03:00")).isVisible();
        button(page, "Check the rows").click();
        assertThat(page.locator("h1")).containsText("3 new measurements");
    }

    private static void choose(Page page) {
        choose(page, TABLE);
    }

    private static void choose(Page page, String table) {
        assertThat(page.locator("h1")).containsText("Import a file of measurements");
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("mine.csv", "text/csv", table.getBytes(StandardCharsets.UTF_8)));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }
}

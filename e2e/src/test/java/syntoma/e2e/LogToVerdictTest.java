package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** From a log to an honest verdict, through the real interface with the demo data. */
class LogToVerdictTest {
    private static final String FILE =
            """
            taken_at,campsite,setup,carrier,up_mbps,rsrp_dbm,outcome,trial,round
            2026-08-14T10:00:00+03:00,Pebble Cove,Old whip,Tarnwave,4.10,-101,ok,Whip or pole,1
            2026-08-14T10:20:00+03:00,Pebble Cove,New pole,Tarnwave,7.90,-95,ok,Whip or pole,1
            2026-08-14T11:00:00+03:00,Pebble Cove,Old whip,Tarnwave,3.60,-102,ok,Whip or pole,2
            2026-08-14T11:20:00+03:00,Pebble Cove,New pole,Tarnwave,6.10,-96,ok,Whip or pole,2
            2026-08-14T12:00:00+03:00,Pebble Cove,Old whip,Tarnwave,4.40,20,ok,Whip or pole,3
            """;

    @TempDir
    private static Path dir;

    private static RunningApp app;
    private static Chromium chromium;

    @BeforeAll
    static void start() {
        app = RunningApp.start(dir.resolve("demo"), true);
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
        app.close();
    }

    @AfterEach
    void no_page_complained() {
        assertEquals(List.of(), chromium.complaints());
        chromium.closeAllBut();
    }

    private static Page open(Chromium.Look look, String path) {
        Page page = chromium.open(look);
        page.navigate(app.address(path));
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    /** The two looks in which no other test walks through all views. */
    @ParameterizedTest
    @EnumSource(names = {"DESK_LAMP", "PHONE_PAPER"})
    void every_view_stands_in_every_look_and_nothing_sticks_out(Chromium.Look look) {
        Page page = open(look, "/");
        assertThat(page.locator("h1")).containsText("Mast panel");
        assertThat(page.locator("header")).containsText("Lighthouse Meadow");
        for (String path : List.of("/tonight", "/gear", "/build", "/trials", "/logbook", "/findings", "/tools")) {
            page.navigate(app.address(path));
            assertThat(page.locator("h1")).not().isEmpty();
            int wide = (int) page.evaluate("document.documentElement.scrollWidth");
            assertTrue(wide <= look.width(), path + " is " + wide + " px wide in " + look);
        }
    }

    @Test
    void a_file_is_judged_confirmed_and_given_back() throws Exception {
        Page page = open(Chromium.Look.DESK_PAPER, "/logbook");
        page.getByText("Import measurements").click();
        // the logbook has a way in for files of its own, which stands until this page is there
        assertThat(page.locator("h1")).containsText("Import a file of measurements");
        Path file = Files.writeString(dir.resolve("mine.csv"), FILE);
        page.locator("input[type=file]").setInputFiles(file);
        assertThat(page.locator("h1")).containsText("4 new measurements, 0 already in the log, 1 refused");
        assertThat(page.getByText("−156 to −31 dBm")).isVisible();
        assertThat(page.getByText("Pebble Cove", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        button(page, "Import 4 measurements").click();
        assertThat(page.locator("h1")).containsText("4 measurements imported");
        button(page, "Back to the stays").click();
        assertThat(page.getByRole(AriaRole.CELL, new Page.GetByRoleOptions().setName("Pebble Cove")))
                .isVisible();

        var download =
                page.waitForDownload(() -> page.getByText("Export all as CSV").click());
        String csv = Files.readString(download.path());
        assertTrue(csv.contains(",Old whip,Tarnwave,"), csv.lines().findFirst().orElse(""));
        assertTrue(csv.contains(",4.10,"), "digits are kept");

        page.navigate(app.address("/logbook?import=1"));
        page.locator("input[type=file]").setInputFiles(download.path());
        assertThat(page.locator("h1")).containsText("0 new measurements");
        assertThat(button(page, "Nothing to import")).isDisabled();

        page.navigate(app.address("/trials?campsite=Pebble+Cove&trial=Whip+or+pole&baseline=Old+whip"));
        assertThat(page.getByText(Pattern.compile("Fewer than three rounds|3 rounds are needed|two rounds|too few"))
                        .first())
                .isVisible();
    }

    @Test
    void what_is_no_csv_is_refused_in_one_sentence() throws Exception {
        Page page = open(Chromium.Look.PHONE_LAMP, "/logbook?import=1");
        Path file = Files.write(dir.resolve("photo.csv"), new byte[] {'P', 'K', 3, 4, 0, 0});
        page.locator("input[type=file]").setInputFiles(file);
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("zip");
    }

    @Test
    void a_reading_is_graded_while_typed_refused_in_place_and_kept() {
        Page page = open(Chromium.Look.DESK_PAPER, "/tonight");
        assertThat(page.locator("h1")).containsText("Mast panel");
        page.keyboard().press("r");
        Chromium.awaitFocus(page, "#field-rsrpDbm");
        page.locator("#field-rsrpDbm").fill("200");
        assertThat(page.locator("#field-rsrpDbm-hint")).containsText("to");
        page.locator("#field-rsrpDbm").fill("97");
        assertThat(page.locator("#field-rsrpDbm-hint")).hasText("fair");
        page.locator("#field-upMbps").fill("0.75 MB/s");
        assertThat(page.locator("#field-upMbps-hint")).containsText("6 Mb/s");
        page.getByText("More: other figures").click();
        page.locator("#field-arfcn").fill("1300");
        assertThat(page.locator("#field-arfcn-hint")).containsText("B3");
        page.locator("#field-note").fill("rain on the roof");
        page.reload();
        assertThat(page.locator("h1")).containsText("Mast panel");
        page.keyboard().press("r");
        page.getByText("More: other figures").click();
        assertThat(page.locator("#field-note")).hasValue("rain on the roof");
        button(page, "Log it").click();
        assertThat(page.getByText("Logged Mast panel.")).isVisible();
        assertTrue(app.read("/api/measurements?limit=1").contains("\"rsrpDbm\":-97"));
        assertTrue(app.read("/api/measurements?limit=1").contains("rain on the roof"));
        assertTrue(app.read("/api/measurements?limit=1").contains("\"band\":\"B3\""));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(page.getByText("Logged Mast panel.")).isHidden();
        page.waitForCondition(() -> !app.read("/api/measurements?limit=1").contains("rain on the roof"));
    }

    @Test
    void a_run_that_failed_is_logged_as_one_from_a_phone() {
        Page page = open(Chromium.Look.PHONE_PAPER, "/tonight");
        page.locator("button.thumb").click();
        page.getByText("timed out", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("#field-upMbps")).isHidden();
        page.locator("#field-note").fill("gave up");
        button(page, "Log it").click();
        assertThat(page.getByText("Logged Mast panel.")).isVisible();
        String last = app.read("/api/measurements?limit=1");
        assertTrue(last.contains("\"outcome\":\"timed_out\"") && last.contains("gave up"), last);
    }

    @Test
    void a_trial_is_read_as_sentence_lines_rounds_and_plain_averages() {
        Page page = open(Chromium.Look.DESK_LAMP, "/trials");
        assertThat(page.getByText("Of the two use Mast panel. Bittern booster gave no upload here: all five of its runs"
                        + " failed."))
                .isVisible();
        assertThat(page.getByText("Mast panel and Roof dome, trial by trial")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Dome again"))
                .first()
                .click();
        assertThat(page.locator("h1"))
                .containsText("Mast panel’s upload is a bit more than four times that of Roof dome");
        assertThat(page).hasTitle("Dome again, Amber Spit · Syntoma");
        page.getByText("The other figures").click();
        for (String metric : List.of("Upload", "Download", "Latency while uploading", "RSRP", "SINR")) {
            assertThat(page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName(metric).setExact(true)))
                    .isVisible();
        }
        assertThat(page.getByText("is an outlier").first()).isVisible();
        assertThat(page.getByText("Roof dome has heard 8.2 dB less")).isVisible();
        assertThat(page.getByText("Latency while downloading depends on round 4"))
                .isVisible();
        assertThat(page.getByRole(
                        AriaRole.HEADING, new Page.GetByRoleOptions().setName("Enough for Video calls and HD film")))
                .isVisible();
        page.getByText("Numbers as a table").click();
        assertThat(page.locator("details[open] table.rows")).isVisible();
        page.getByText("Plain averages").click();
        assertThat(page.getByText("a setup used at the better hours looks better"))
                .isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Download").setExact(true))
                .click();
        page.reload();
        assertThat(page.getByText("Download, round by round")).isVisible();
    }

    @Test
    void any_two_setups_at_a_stay_can_be_compared() {
        Page page = open(Chromium.Look.DESK_PAPER, "/trials");
        page.getByLabel("Stay", new Page.GetByLabelOptions().setExact(true)).click();
        page.getByTitle(Pattern.compile("^Juniper Ridge")).click();
        button(page, "Compare").click();
        assertThat(page.locator("main .over")).containsText("Juniper Ridge");
        assertThat(page.locator("h1")).not().isEmpty();
    }
}

package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A log with typing errors, put right through the interface; and one made by hand, its taps counted. */
class MendingTest {
    private static final String LOG =
            """
            taken_at,campsite,setup,carrier,up_mbps,outcome,note
            2026-08-01T18:00:00+03:00,Pine Bend,Dome,Bluecell,4.40,ok,under the pines
            2026-08-01T18:10:00+03:00,Pine Bend,Panel,Bluecell,44,ok,
            2026-08-20T18:00:00+03:00,Pinebend,Dome,Bluecell,5.10,ok,
            """;

    @TempDir
    private Path dir;

    private RunningApp app;
    private Chromium chromium;

    @BeforeEach
    void start() {
        app = RunningApp.start(dir.resolve("own"), false);
        chromium = new Chromium();
    }

    @AfterEach
    void stop() {
        List<String> complaints = chromium.complaints();
        chromium.close();
        app.close();
        assertEquals(List.of(), complaints);
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Brings the log in; names that are close are said to be others. */
    private Page withLog(Chromium.Look look) {
        Page page = chromium.open(look);
        page.navigate(app.address("/logbook?import=1"));
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload("mine.csv", "text/csv", LOG.getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("is new, and close to")).isVisible();
        assertThat(button(page, "First decide about the names above")).isDisabled();
        button(page, "It is another campsite").click();
        button(page, "Import 3 measurements").click();
        assertThat(page.locator("h1")).hasText("3 measurements imported.");
        return page;
    }

    private String export() {
        return app.read("/api/measurements.csv");
    }

    @Test
    void a_typing_error_is_corrected_and_what_it_was_stays_known() {
        Page page = withLog(Chromium.Look.DESK_PAPER);
        page.navigate(app.address("/tonight"));
        assertThat(page.locator("h1")).isVisible();
        page.keyboard().press("/");
        page.getByLabel("Find in everything").fill("pines");
        assertThat(page.getByText("1 measurement: under the pines")).isVisible();
        page.keyboard().press("Enter");
        assertThat(page.locator("h1")).hasText("Pine Bend, 1 Aug 2026");
        assertThat(page.getByPlaceholder("find here")).hasValue("pines");
        page.getByPlaceholder("find here").fill("");
        page.locator("tr", new Page.LocatorOptions().setHasText("Panel"))
                .getByText("Correct")
                .click();
        page.locator("#field-upMbps").fill("4.4");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Corrected Panel.")).isVisible();
        assertTrue(export().contains(",4.4,"));
        page.locator("tr", new Page.LocatorOptions().setHasText("Panel"))
                .getByText("Correct")
                .click();
        assertThat(page.locator(".history")).containsText("Upload from 44 to 4.4 Mb/s");
        button(page, "Cancel").click();
        page.navigate(app.address("/logbook?part=changes"));
        page.locator("tr", new Page.LocatorOptions().setHasText("upload from 44"))
                .getByText("Undo")
                .click();
        page.waitForCondition(() -> export().contains(",44,"));
        assertThat(page.locator("td", new Page.LocatorOptions().setHasText("undone")))
                .isVisible();
    }

    @Test
    void two_pages_correct_one_measurement_and_the_second_is_told() {
        Page one = withLog(Chromium.Look.DESK_PAPER);
        Page other = chromium.open(Chromium.Look.DESK_LAMP);
        for (Page page : List.of(one, other)) {
            page.navigate(app.address("/logbook"));
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Pinebend"))
                    .click();
            page.getByText("Correct").click();
            assertThat(page.locator("#field-upMbps")).hasValue("5.10");
        }
        for (Page page : List.of(one, other)) {
            page.locator("#field-upMbps").fill(page == one ? "5.2" : "5.3");
            button(page, "Save").click();
            assertThat(page == one ? page.getByText("Corrected Dome.") : page.locator(".ant-modal-confirm-title"))
                    .isVisible();
        }
        assertThat(other.locator(".ant-modal-confirm table")).containsText("5.2");
        assertTrue(export().contains(",5.2,"));
        button(other, "Save mine anyway").click();
        assertThat(other.getByText("Corrected Dome.")).isVisible();
        assertTrue(export().contains(",5.3,"));
    }

    @Test
    void a_campsite_twice_is_merged_after_a_look_and_the_import_is_undone_as_a_whole() {
        Page page = withLog(Chromium.Look.DESK_LAMP);
        String before = export();
        page.navigate(app.address("/logbook?part=names"));
        page.locator("tr", new Page.LocatorOptions().setHasText("Pinebend"))
                .getByText("Merge into another")
                .click();
        page.getByLabel("becomes part of").click();
        page.getByTitle("Pine Bend").click();
        assertThat(page.locator(".ant-modal table")).containsText("1");
        button(page, "Merge into Pine Bend").click();
        assertThat(page.getByText("Pinebend is Pine Bend now.")).isVisible();
        assertTrue(!export().contains("Pinebend"));
        button(page, "Undo").click();
        assertThat(page.getByText("Pinebend is Pine Bend now.")).isHidden();
        page.waitForCondition(() -> export().equals(before));
        page.navigate(app.address("/logbook?part=changes"));
        page.locator("tr", new Page.LocatorOptions().setHasText("from mine.csv"))
                .getByText("Undo")
                .click();
        button(page, "Undo the import").click();
        page.waitForCondition(() -> export().lines().count() == 1);
        page.navigate(app.address("/logbook"));
        assertThat(page.getByText("No stay yet")).isVisible();
    }

    @Test
    void from_parked_to_logged_on_the_phone_takes_at_most_twelve_taps_beside_digits() {
        withLog(Chromium.Look.DESK_PAPER);
        Page page = chromium.open(Chromium.Look.PHONE_LAMP);
        page.navigate(app.address("/tonight"));
        int[] taps = {0};
        tap(taps, page.getByLabel("campsite: not chosen"));
        page.locator(".chooser input").fill("Birch Hollow");
        tap(taps, button(page, "Add and use"));
        tap(taps, page.getByLabel("setup: not chosen"));
        tap(taps, page.getByTitle("Dome"));
        tap(taps, button(page, "Use"));
        tap(taps, page.locator("button.thumb"));
        Chromium.awaitFocus(page, "#field-rsrpDbm");
        page.keyboard().type("97");
        for (String field : List.of("sinrDb", "downMbps", "upMbps", "idleMs")) {
            tap(taps, page.locator("#field-" + field));
            page.keyboard().type("21");
        }
        assertThat(page.locator("#field-upMbps")).hasAttribute("inputmode", "decimal");
        tap(taps, button(page, "Log it"));
        assertThat(page.getByText("Logged Dome.")).isVisible();
        assertTrue(taps[0] <= 12, taps[0] + " taps");
        assertTrue(app.read("/api/measurements?limit=1").contains("\"rsrpDbm\":-97"));
        // the next one asks for the same, and its undo covers no part of the way to the views
        double strip = page.locator("nav.spine").boundingBox().y;
        var undo = page.locator(".ant-notification-notice").boundingBox();
        assertTrue(undo.y + undo.height <= strip, "the undo covers the navigation");
    }

    private static void tap(int[] taps, Locator what) {
        what.click();
        taps[0]++;
    }
}

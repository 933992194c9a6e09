package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An empty start, what is typed is there after a stop, and starts that must not happen. */
class StartAndStopTest {
    @TempDir
    private Path dir;

    @Test
    void what_was_logged_is_there_after_a_stop_and_a_start_whatever_the_directory_is_called() {
        Path data = dir.resolve("ö b#1;x=${y} %41");
        try (Chromium chromium = new Chromium()) {
            try (RunningApp app = RunningApp.start(data, false)) {
                Page page = chromium.open(Chromium.Look.DESK_PAPER);
                page.navigate(app.address("/tonight"));
                page.getByText("Show the demo here").click();
                assertThat(page.locator("h1")).containsText("Mast panel");
                page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName("Demo").setExact(true))
                        .click();
                page.locator(".ant-modal button", new Page.LocatorOptions().setHasText("Remove"))
                        .click();
                assertThat(page.locator("h1")).containsText("Say where you stand");
                page.navigate(app.address("/no-such-page"));
                assertThat(page.locator("h1")).hasText("There is no page at this address.");
                page.navigate(app.address("/tonight"));
                assertThat(page.locator("h1")).containsText("Say where you stand");
                page.keyboard().press("r");
                page.locator("#field-campsite").fill("Quarry Lake");
                page.locator("#field-setup").fill("Mast panel");
                page.locator("#field-rsrpDbm").fill("-88.50");
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Log it"))
                        .click();
                assertThat(page.getByText("Logged Mast panel.")).isVisible();
            }
            try (RunningApp app = RunningApp.start(data, false)) {
                Page page = chromium.open(Chromium.Look.DESK_PAPER);
                page.navigate(app.address("/logbook"));
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Quarry Lake"))
                        .click();
                assertThat(page.getByText("−88.5")).isVisible();
                assertTrue(app.read("/api/measurements.csv").contains(",-88.50,"));
            }
        }
    }

    @Test
    void a_busy_port_and_data_in_use_each_get_one_clear_line() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("own"), false)) {
            String busy = RunningApp.refusedStart(dir.resolve("other"), app.port());
            assertTrue(busy.contains("port " + app.port()), busy);
            assertEquals(1, busy.lines().count(), busy);
            String inUse = RunningApp.refusedStart(dir.resolve("own"), 1);
            assertTrue(inUse.contains("own"), inUse);
            assertEquals(1, inUse.lines().count(), inUse);
        }
    }
}

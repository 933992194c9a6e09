package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Remakes docs/screenshots from the demo data; run by {@code ./syntoma shots}. */
class Shots {
    private static final Path INTO = Path.of(System.getProperty("syntoma.screenshots"));
    /** So long the strips of a live reading take to have a spread, and a walk's level to be of one place. */
    private static final int LIVE_MS = 6_000;

    private static final int STEADY_MS = 3_200;

    private static final String TRIAL = "/trials?campsite=Amber+Spit&trial=Dome+again";

    @TempDir
    private Path dir;

    @Test
    void all() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("demo"), true);
                Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            take(desk, app.address("/pitch"), "pitch");
            take(desk, app.address("/logbook"), "logbook");
            take(desk, app.address("/logbook?stay=8"), "stay", "table");
            take(desk, app.address(TRIAL), "verdict");
            importReport(desk, app);
            take(desk, app.address("/rig?setup=3"), "rig-chain");
            take(desk, app.address("/rig?setup=2"), "rig-fit-findings");
            take(desk, app.address("/rig?part=candidates"), "rig-candidates", "table.candidates");
            take(desk, app.address("/rig?part=shelf"), "rig-shelf");
            take(chromium.open(Chromium.Look.DESK_LAMP), app.address(TRIAL), "verdict-lamp");
            desk.navigate(app.address("/measure"));
            desk.locator(".start-run button").click();
            assertThat(desk.locator("h1")).containsText("Mb/s up");
            shoot(desk, "measure");
            live(desk, app);
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            take(phone, app.address("/pitch"), "pitch-phone");
            phone.locator("button.thumb").click();
            assertThat(phone.locator("#field-rsrpDbm")).isVisible();
            shoot(phone, "log-phone");
            walk(phone, app);
            trial(desk, phone, app);
            onTheNetwork(desk, chromium, app);
            assertEquals(List.of(), chromium.complaints());
        }
    }

    /** A trial as it is planned, and its run sheet in the hand. */
    private static void trial(Page desk, Page phone, RunningApp app) {
        take(desk, app.address("/trials?plan&seed=3"), "trial-plan", ".course");
        desk.locator("#field-trial-name").fill("Is the mast worth raising?");
        desk.locator(".keep-plan button").click();
        assertThat(desk.locator(".steps")).isVisible();
        take(phone, desk.url(), "run-sheet-phone", ".from-to");
    }

    /** What the router says while a run goes on. */
    private static void live(Page page, RunningApp app) {
        page.locator(".start-run .ant-segmented-item").first().click();
        page.locator(".start-run button").click();
        assertThat(page.locator("h1")).containsText("Measuring");
        page.navigate(app.address("/pitch"));
        assertThat(page.getByText("A run of Mast panel goes on")).isVisible();
        page.waitForTimeout(LIVE_MS);
        shoot(page, "live");
    }

    /** A walk on which three places are marked in turn. */
    private static void walk(Page page, RunningApp app) {
        page.navigate(app.address("/walk"));
        for (String place : List.of("window left", "shelf", "roof rail", "window left", "shelf")) {
            page.waitForTimeout(STEADY_MS);
            page.locator("#walk-place").fill(place);
            page.keyboard().press("Enter");
            assertThat(page.locator("#walk-place")).hasValue("");
        }
        shoot(page, "walk-phone");
    }

    /** Devices with a code for a phone, and what waits on the phone that came in by it. */
    private static void onTheNetwork(Page desk, Chromium chromium, RunningApp app) {
        desk.navigate(app.address("/devices"));
        desk.locator("#field-phrase").fill("rusty gate by the quarry");
        desk.getByText("Set it").click();
        desk.locator("button", new Page.LocatorOptions().setHasText("Serve the vehicle’s network"))
                .click();
        desk.getByText("Show a code for the phone").click();
        String code = desk.locator(".code").innerText();
        Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
        phone.navigate(app.tls("/pair#" + code));
        phone.getByText("Go to Pitch").click();
        assertThat(phone.locator("h1")).containsText("Mast panel");
        desk.getByText("Another code").click();
        shoot(desk, "devices");
        phone.navigate(app.tls("/logbook?part=waiting"));
        assertThat(phone.getByText("Nothing waits")).isVisible();
        phone.locator("button.thumb").click();
        phone.locator("#field-upMbps").fill("12.4");
        phone.context().setOffline(true);
        phone.locator("#field-rsrpDbm").fill("-91");
        phone.locator(".log-buttons .ant-btn-primary").click();
        assertThat(phone.locator(".notices")).containsText("has not answered");
        assertThat(phone.locator(".ant-message-notice")).hasCount(0);
        shoot(phone, "waiting-phone");
    }

    private static void take(Page page, String address, String name) {
        take(page, address, name, "h1");
    }

    private static void take(Page page, String address, String name, String shown) {
        page.navigate(address);
        assertThat(page.locator(shown)).not().isEmpty();
        shoot(page, name);
    }

    private static void shoot(Page page, String name) {
        // what the router says comes once a second
        page.waitForTimeout(1_500);
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(INTO.resolve(name + ".png")));
    }

    private void importReport(Page page, RunningApp app) throws Exception {
        page.navigate(app.address("/logbook?import=1"));
        Path file = Files.writeString(
                dir.resolve("august.csv"),
                """
                taken_at,campsite,setup,carrier,rsrp_dbm,up_mbps,outcome,weather
                2026-09-06T09:10:00+02:00,Lighthouse Meadow,Mast panel,Tarnwave,-97.50,4.10,ok,rain
                2026-09-06T09:25:00+02:00,Lighthouse Meadow,Roof dome,Tarnwave,20,3.2,ok,rain
                2026-09-06T09:40:00,Lighthouse Meadow,Mast panel,Tarnwave,-96,4.6,ok,
                2026-09-06T09:55:00+02:00,Lighthouse Meadow,Roof dome,Tarnwave,-104,0,ok,
                2026-09-06T10:10:00+02:00,Lighthouse Meadow,Roof dome,Tarnwave
                2026-09-06T10:25:00+02:00,Lighthouse Meadow,Magnet whips,Brissa,-99,2.9,ok,
                """);
        page.locator("input[type=file]").setInputFiles(file);
        assertThat(page.locator("h1")).containsText("refused");
        shoot(page, "import-report");
    }
}

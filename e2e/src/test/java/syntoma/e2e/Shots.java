package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.RequestOptions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Remakes docs/screenshots from the demo data; run by {@code ./syntoma shots}. */
class Shots {
    private static final Path INTO = Path.of(System.getProperty("syntoma.screenshots"));
    private static final String TRIAL = "/trials?campsite=Amber+Spit&trial=Dome+again";

    @TempDir
    private Path dir;

    @Test
    void all() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("demo"), true);
                Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            take(desk, app.address("/tonight"), "pitch", ".tonight-option >> nth=0");
            take(desk, app.address("/logbook"), "logbook");
            take(desk, app.address("/logbook?stay=8"), "stay", "table");
            take(desk, app.address(TRIAL), "verdict");
            take(desk, app.address("/gear?setup=3"), "rig-chain");
            take(desk, app.address("/why?setup=Roof+dome"), "why", ".day-hours");
            take(desk, app.address("/build"), "roof-plan", "svg.roof[role=group]");
            take(desk, app.address("/logbook?part=map"), "map", ".stay-map ~ .buttons");
            take(desk, app.address("/logbook?part=ledger"), "ledger", ".month-bar >> nth=0");
            take(desk, app.address("/findings"), "findings", ".found .small b >> nth=0");
            desk.navigate(app.address("/measure"));
            desk.locator(".start-run button").click();
            assertThat(desk.locator("h1")).containsText("Mb/s up");
            shoot(desk, "measure");
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            take(phone, app.address("/tonight"), "pitch-phone", ".tonight-option >> nth=0");
            take(phone, app.address("/build?plan=1&sheet&start=2026-09-06"), "job-sheet-phone", ".job-next h2");
            phone.locator("button.thumb").click();
            assertThat(phone.locator("#field-rsrpDbm")).isVisible();
            shoot(phone, "log-phone");
            trial(desk, phone, app);
            paste(desk, app);
            walk(phone, app);
            sweep(phone, app);
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

    /** A page of a router with a figure that lacks its minus, pasted. */
    private static void paste(Page page, RunningApp app) {
        page.navigate(app.address("/tonight"));
        assertThat(page.locator("h1")).isVisible();
        page.evaluate(
                """
                () => {
                  const data = new DataTransfer();
                  data.setData('text', `Radio status
                Network     : TARNWAVE
                Mode        : LTE
                Band        : B20
                EARFCN      : 6300
                RSRP        : 97 dBm
                RSRQ        : −11.5 dB
                SINR        : 6,2 dB
                Neighbour cells
                PCI 31  EARFCN 1300  RSRP -104 dBm
                Speed test: Download 21.4 Mbit/s  Upload 0.9 MB/s  Ping 48 ms`);
                  document.body.dispatchEvent(
                    new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));
                }
                """);
        assertThat(page.locator(".pasted-text")).isVisible();
        shoot(page, "paste");
        page.keyboard().press("Escape");
    }

    /** Two places marked, and the number of the third. */
    private static void walk(Page phone, RunningApp app) {
        phone.navigate(app.address("/walk"));
        for (String place : List.of("window left", "shelf", "window left")) {
            assertThat(phone.locator(".walk-number b")).containsText("−");
            phone.locator("#walk-place").fill(place);
            phone.keyboard().press("Enter");
            assertThat(phone.locator(".walk-place:has-text('" + place + "')")).isVisible();
            phone.waitForTimeout(1_500);
        }
        shoot(phone, "walk-phone");
    }

    /** Headings all round, as a panel that looks to the north-east hears them. */
    private static void sweep(Page phone, RunningApp app) {
        String sweeps = app.address("/api/aim/sweeps");
        String begun = phone.request().post(sweeps).text();
        String id = begun.replaceAll("(?s).*?\"id\":(\\d+).*", "$1");
        for (int deg = 0; deg < 300; deg += 30) {
            double cosine = Math.cos(Math.toRadians((deg - 50) / 2.0));
            long level = Math.round(-92 + 20 * Math.log10(Math.max(0.15, cosine * cosine)));
            phone.request()
                    .post(
                            sweeps + "/" + id + "/points",
                            RequestOptions.create().setData(Map.of("headingDeg", deg, "rsrpDbm", level)));
        }
        take(phone, app.address("/aim?sweep=" + id), "sweep-phone", ".polar-of svg");
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
}

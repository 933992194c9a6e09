package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Remakes docs/screenshots from the demo data; run by {@code ./syntoma shots}. */
class Shots {
    private static final Path INTO = Path.of(System.getProperty("syntoma.screenshots"));
    /** So long the strips of a live reading take to have a spread, and a walk's level to be of one place. */
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
            take(desk, app.address("/rig?setup=3"), "rig-chain");
            take(desk, app.address("/rig?setup=2"), "rig-fit-findings");
            take(desk, app.address("/fit-out"), "roof-plan", "svg.roof[role=group]");
            desk.locator(".contents button", new Page.LocatorOptions().setHasText("Booster"))
                    .click();
            shoot(desk, "booster-placement");
            desk.navigate(app.address("/measure"));
            desk.locator(".start-run button").click();
            assertThat(desk.locator("h1")).containsText("Mb/s up");
            shoot(desk, "measure");
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            take(phone, app.address("/pitch"), "pitch-phone");
            take(phone, app.address("/fit-out?plan=1&sheet&start=2026-09-06"), "job-sheet-phone", ".job-next h2");
            phone.locator("button.thumb").click();
            assertThat(phone.locator("#field-rsrpDbm")).isVisible();
            shoot(phone, "log-phone");
            walk(phone, app);
            trial(desk, phone, app);
            grid(desk, app);
            sweep(phone, app);
            practice(desk, app);
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

    /** Two antennas on two carriers, of which one antenna helps on one carrier alone. */
    private static void grid(Page page, RunningApp app) {
        page.evaluate(
                """
                async () => {
                  const post = (path, body) => fetch(path, {
                    method: 'POST', headers: {'Content-Type': 'application/json'}, body: JSON.stringify(body)});
                  const cells = [['Roof dome', 'Tarnwave', 4], ['Roof dome', 'Ostrel', 6.6], ['Mast panel', 'Tarnwave', 8],
                    ['Mast panel', 'Ostrel', 6.2]];
                  await post('/api/trials/designed', {campsite: 'Lighthouse Meadow', name: 'Which SIM on which antenna',
                    design: {difference: 2, seed: 4, contenders: cells.map(([setup, carrier]) => ({setup, carrier}))}});
                  const air = [1, 1.2, 0.8, 1.4, 1.05, 0.9];
                  for (let round = 1; round <= air.length; round++) {
                    for (let i = 0; i < cells.length; i++) {
                      const [setup, carrier, up] = cells[i];
                      const wobble = 1 + 0.06 * Math.sin(5 * round + 2.3 * i);
                      await post('/api/measurements', {campsite: 'Lighthouse Meadow', setup, carrier, outcome: 'ok',
                        takenAt: `2026-09-04T${8 + round}:${10 + 9 * i}:00+02:00`.replace('T9', 'T09'), round: String(round),
                        trial: 'Which SIM on which antenna', upMbps: (up * air[round - 1] * wobble).toFixed(2),
                        downMbps: (4 * up * air[round - 1]).toFixed(1)});
                    }
                  }
                }
                """);
        take(
                page,
                app.address("/trials?campsite=Lighthouse+Meadow&trial=Which+SIM+on+which+antenna"),
                "grid-verdict",
                ".grid-figure[open] p");
    }

    /** A sweep of a beam of 60° that points north-west. */
    private static void sweep(Page page, RunningApp app) {
        Object id = page.evaluate(
                """
                async () => {
                  const post = (path, body) => fetch(path, {
                    method: 'POST', headers: {'Content-Type': 'application/json'}, body: JSON.stringify(body)}).then(r => r.json());
                  const {id} = await post('/api/aim/sweeps', {});
                  for (let deg = 0; deg < 360; deg += 30) {
                    const off = Math.cos((deg - 318) * Math.PI / 360);
                    const lost = Math.min(20, -199 * Math.log10(Math.max(1e-6, Math.abs(off))));
                    await post(`/api/aim/sweeps/${id}/points`, {headingDeg: deg, band: 'B20',
                      rsrpDbm: Math.round(10 * (-92 - lost + Math.sin(deg))) / 10});
                  }
                  return id;
                }
                """);
        take(page, app.address("/aim?sweep=" + id), "sweep-phone", ".polar");
    }

    private static void practice(Page page, RunningApp app) {
        page.navigate(app.address("/practice"));
        page.getByText("Begin one").click();
        page.getByText("Send the hands out").click();
        assertThat(page.locator(".practice-verdicts")).isVisible();
        shoot(page, "practice");
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

    /** Devices with a code for a phone, and the phone that came in by it. */
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

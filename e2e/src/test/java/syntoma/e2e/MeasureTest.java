package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/**
 * The program measures: a run from one key, seen from everywhere, through a reload. For most of its time it waits for a
 * link, so it goes on beside the others; its own tests are one after the other.
 */
@Execution(ExecutionMode.CONCURRENT)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class MeasureTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    private static final int NOTED_MS = 2_500;

    @TempDir
    private static Path dir;

    private static RunningApp app;

    @BeforeAll
    static void start() {
        app = RunningApp.start(dir.resolve("demo"), true);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static JsonNode newest(String list) throws Exception {
        return JSON.readTree(app.read(list)).get(0);
    }

    /** Before the trial, which leaves another setup up. */
    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    @Order(1)
    void a_run_takes_one_key_and_goes_on_through_a_reload_and_on_a_second_device() {
        try (Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            phone.navigate(app.address("/tonight"));
            desk.navigate(app.address("/tonight"));
            assertThat(desk.locator("h1")).containsText("Mast panel");
            Locator live = desk.locator(".live-cell").first();
            assertThat(live).containsText("Primary cell · LTE B20 · channel 6300 · 10 MHz");
            assertThat(live).containsText(" dBm");
            desk.keyboard().press("m");
            button(desk, "Measure now").click();
            assertThat(desk.locator("h1")).containsText("Measuring Mast panel");
            assertTrue(desk.url().contains("run="), desk.url());
            phone.getByText("A run of Mast panel goes on").click();
            assertThat(phone.locator(".run-curve")).isVisible();
            desk.reload();
            assertThat(desk.locator("h1")).containsText("Mast panel: ");
            assertThat(desk.locator("h1")).containsText("Mb/s up, ");
            assertThat(phone.locator("h1")).containsText("Mb/s up, ");
            assertEquals(desk.locator("h1").innerText(), phone.locator("h1").innerText());
            assertThat(desk.getByText("In the log.")).isVisible();
            String csv = app.read("/api/measurements.csv");
            String run = csv.lines()
                    .filter(line -> line.contains("light run, "))
                    .findFirst()
                    .orElse("");
            assertTrue(run.contains(",LTE,B20,6300,"), "it stands in the log with the reading beside it: " + run);

            desk.locator("#field-budgetMb").fill("0");
            button(desk, "Measure now").click();
            assertThat(desk.getByRole(AriaRole.ALERT)).containsText("budgetMb is 0 MB; allowed is 0.1 to 10000 MB");
            desk.locator("#field-budgetMb").fill("");
            desk.locator("details:has(#field-address) > summary").click();
            String server = desk.locator("#field-address").inputValue();
            desk.locator("#field-address").fill("http://127.0.0.1:1");
            button(desk, "Save and test the speed server").click();
            assertThat(desk.getByText("Not reached: nothing answers at http://127.0.0.1:1."))
                    .isVisible();
            button(desk, "Measure now").click();
            assertThat(desk.locator("h1")).containsText("it failed: nothing answers at");
            desk.locator("#field-address").fill(server);
            button(desk, "Save and test the speed server").click();
            assertThat(desk.getByText("Connected; it answers in ")).isVisible();
            assertEquals(List.of(), chromium.complaints());
        }
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void a_browser_makes_a_run_and_brings_it_now_or_later() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            phone.navigate(app.address("/measure"));
            phone.getByText("this device, by Wi-Fi").click();
            button(phone, "Measure now").click();
            assertThat(phone.getByText("Keep this page in sight until it is over."))
                    .isVisible();
            assertThat(phone.locator("#unit")).hasText("Mb/s up");
            assertThat(phone.locator("h1")).containsText("Mb/s up, ");
            assertThat(phone.locator(".run-curve")).isVisible();
            assertThat(phone.getByText("In the log.")).isVisible();
            phone.waitForCondition(() -> phone.url().matches(".*/measure\\?run=[0-9]+"));

            phone.getByText("this device, own SIM").click();
            button(phone, "Measure now").click();
            button(phone, "Start").click();
            Locator home = phone.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Take it to Syntoma"));
            assertThat(home).isVisible();
            phone.reload();
            assertThat(home).isVisible();
            assertEquals("waiting", newest("/api/runs").get("state").asText(), "nothing was brought so far");
            home.click();
            assertThat(phone.locator("h1")).containsText("Mb/s up, ");
            String note = newest("/api/measurements?limit=1").toString();
            assertTrue(note.contains("light run by a browser on its own SIM"), note);
            assertEquals(List.of(), chromium.complaints());
        }
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void a_trial_is_planned_and_its_steps_are_led_and_measured() throws Exception {
        try (Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            desk.navigate(app.address("/trials"));
            assertThat(desk.locator("h1")).containsText("Pick a trial");
            desk.keyboard().press("t");
            assertThat(desk.locator("h1")).containsText(" rounds with ");
            desk.locator("#field-difference").fill("3");
            desk.locator("#field-gb").fill("0,0001");
            assertThat(desk.getByText("gb is 0.0001 GB; allowed is 0.001 to 10000 GB"))
                    .isVisible();
            desk.locator("#field-gb").fill("0,01");
            assertThat(desk.locator("h1")).containsText("not enough time or data for three rounds");
            desk.locator("#field-gb").fill("");
            assertThat(desk.locator("h1")).containsText("to show a difference of ×3");
            desk.locator("#field-trial-name").fill("Mast or dome");
            button(desk, "Save and start").click();
            assertThat(desk.getByText("Step 1 of ")).isVisible();
            phone.navigate(desk.url());
            phone.locator(".step .ant-btn-primary").click();
            Locator settled = button(phone, "Skip the wait");
            Locator measured = phone.getByText(" MB used.");
            assertThat(settled.or(measured)).isVisible();
            assertThat(desk.locator("h1")).containsText(": touch nothing.");
            // it may settle by itself at any moment, so a button that is there is pressed at once
            settled.evaluateAll("buttons => buttons.forEach(button => button.click())");
            assertThat(phone.getByText("Step 2 of "))
                    .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(90_000));
            assertThat(desk.getByText("Step 2 of ")).isVisible();
            String made = newest("/api/measurements?limit=1").toString();
            assertTrue(made.contains("Mast or dome") && made.contains("\"round\":1"), made);
            desk.navigate(app.address("/trials"));
            assertThat(desk.getByText(" visits made")).containsText("1 of ");
            assertEquals(List.of(), chromium.complaints());
        }
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void a_walk_is_one_tap_from_live_and_says_at_its_end_what_differs() {
        try (Chromium chromium = new Chromium()) {
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            phone.addInitScript(
                    """
                    window.tones = [];
                    const make = AudioContext.prototype.createOscillator;
                    AudioContext.prototype.createOscillator = function () {
                      const oscillator = make.call(this);
                      const start = oscillator.start.bind(oscillator);
                      oscillator.start = at => { window.tones.push(oscillator.frequency.value); start(at); };
                      return oscillator;
                    };
                    """);
            phone.navigate(app.address("/tonight"));
            phone.getByText("Walk with the antenna").click();
            assertThat(phone.locator(".walk-number b")).containsText("−9");
            button(phone, "Play a tone").click();
            phone.waitForCondition(() -> (int) phone.evaluate("window.tones.length") >= 2);
            phone.locator("#walk-place").fill("window left");
            phone.keyboard().press("Enter");
            assertThat(phone.getByText("Best mark: ")).containsText("window left");
            phone.reload();
            button(phone, "Freeze the number").click();
            String held = phone.locator(".walk-number b").innerText();
            phone.locator("#walk-place").fill("shelf");
            phone.waitForTimeout(2_000);
            assertEquals(held, phone.locator(".walk-number b").innerText());
            button(phone, "Mark").click();
            assertThat(phone.locator(".walk-place:has-text('shelf') .num")).hasText(held + " dBm");
            button(phone, "End, and say which place is better").click();
            assertThat(phone.locator("h1")).containsText("Can’t tell yet which place is better: ");
            assertThat(phone.getByText("a verdict takes three marks at each")).isVisible();
            assertEquals(List.of(), chromium.complaints());
        }
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void a_run_that_goes_on_when_the_power_is_cut_has_failed_after_the_next_start() throws Exception {
        Path data = dir.resolve("cut");
        long bytes;
        try (RunningApp cut = RunningApp.start(data, true)) {
            HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(cut.address("/api/runs")))
                                    .header("Content-Type", "application/json")
                                    .POST(HttpRequest.BodyPublishers.ofString(
                                            "{\"setup\":\"Mast panel\",\"carrier\":\"Tarnwave\",\"kind\":\"full\"}"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            do {
                Thread.sleep(200);
                bytes = JSON.readTree(cut.read("/api/runs/1")).get("bytesUsed").asLong();
            } while (bytes == 0);
            // it is noted every second how much was taken
            Thread.sleep(NOTED_MS);
            cut.kill();
        }
        try (RunningApp again = RunningApp.start(data, false)) {
            JsonNode run = JSON.readTree(again.read("/api/runs/1"));
            assertEquals("failed", run.get("state").asText(), run.toString());
            assertTrue(run.get("endedBecause").asText().contains("Syntoma was stopped"), run.toString());
            assertTrue(run.get("bytesUsed").asLong() >= bytes, bytes + " bytes, and then " + run);
            assertTrue(run.get("downMbps").isNull());
        }
    }
}

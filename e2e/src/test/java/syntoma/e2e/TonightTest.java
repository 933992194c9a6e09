package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An evening: arrive, see what to use, follow it, paste what the router says, ask why it is slow. */
class TonightTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    private Path dir;

    /** Advice is for the hours of the need, and counted by runs of these; so that no hour of the day is another test. */
    private static void neededAtAnyTime(RunningApp app) throws Exception {
        for (JsonNode need : JSON.readTree(app.read("/api/needs")).get("needs")) {
            if (need.get("chosen").asBoolean()) {
                ObjectNode own = need.deepCopy();
                own.put("partOfDay", "any time");
                own.remove("version");
                assertEquals(
                        200,
                        app.send(
                                "PUT",
                                "/api/needs",
                                "application/json",
                                own.toString().getBytes(StandardCharsets.UTF_8)));
            }
        }
    }

    @Test
    void from_arriving_to_knowing_why_it_is_slow() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("demo"), true);
                Chromium chromium = new Chromium()) {
            neededAtAnyTime(app);
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            phone.navigate(app.address("/tonight"));
            phone.getByText("Arrived?").click();
            phone.locator("#field-campsite").fill("Fern Gully");
            phone.locator("#field-coordinates").fill("N 63° 10.5' E 21° 20.25'");
            assertThat(phone.locator(".arrive")).containsText("read as 63.1750, 21.3375");
            level(phone, "Tarnwave outside").fill("-104");
            level(phone, "Ostrel outside").fill("88");
            phone.reload();
            assertThat(level(phone, "Ostrel outside")).hasValue("88");
            phone.locator(".arrive button[type=submit]").click();
            assertThat(phone.locator(".standing")).containsText("Fern Gully");
            assertThat(phone.locator("h1")).containsText("should meet");
            phone.locator(".tonight-option .take button").first().click();
            assertThat(phone.locator(".tonight-option")
                            .filter(new Locator.FilterOptions().setHasText("up now"))
                            .first())
                    .isVisible();

            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            desk.navigate(app.address("/tonight"));
            assertThat(desk.locator("h1")).containsText("Leave it as it is");
            paste(desk, "Band: B3\\nRSRP: -91 dBm\\nSINR: 14 dB\\nDownload 38.5 Mbit/s\\nUpload 1.1 MB/s");
            assertThat(desk.locator(".pasted-text li.taken")).hasCount(5);
            desk.keyboard().press("Enter");
            assertThat(desk.locator(".pasted")).hasCount(0);
            JsonNode logged = JSON.readTree(app.read("/api/measurements?campsite=Fern%20Gully"))
                    .get(0);
            assertEquals(8.8, logged.get("upMbps").asDouble());
            assertEquals("B3", logged.get("band").asText());
            JsonNode record = JSON.readTree(app.read("/api/advice")).get("record");
            assertEquals(1, record.get("followed").asInt());

            assertThat(desk.locator("[role=dialog]")).hasCount(0);
            desk.keyboard().press("w");
            desk.waitForURL("**/why");
            assertThat(desk.locator(".day-hours")).isVisible();
            assertEquals(List.of(), chromium.complaints());
        }
    }

    private static Locator level(Page page, String name) {
        return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
    }

    /** As a key does it, over nothing in particular. */
    private static void paste(Page page, String text) {
        page.evaluate("() => { const data = new DataTransfer(); data.setData('text', '" + text + "');"
                + " document.body.dispatchEvent(new ClipboardEvent('paste',"
                + " {clipboardData: data, bubbles: true, cancelable: true})); }");
    }
}

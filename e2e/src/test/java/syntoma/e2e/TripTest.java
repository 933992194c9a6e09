package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** After a season: what the trip says, the log as a place, the money, the report, everything out and in. */
class TripTest {
    private static final Pattern SAVE = Pattern.compile("^Save$");

    @TempDir
    private Path dir;

    @Test
    void from_the_question_to_the_report() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("demo"), true);
                Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            desk.navigate(app.address("/findings"));
            assertThat(desk.locator("h1")).containsText("Mast panel’s upload is double that of Roof dome");
            assertThat(desk.locator(".interval-line")).hasCount(2);
            desk.getByText("Did something change on the way?").click();
            assertThat(desk.locator("h1")).containsText("Something changed for Roof dome on or about");
            assertThat(desk.locator(".drift-line").first()).isVisible();
            desk.getByText("Do plain averages say the same?").click();
            assertThat(desk.locator("td.differs")).hasCount(3);
            desk.locator("nav.parts a", new Page.LocatorOptions().setHasText("At the same places"))
                    .click();
            desk.locator(".found a.pick").first().click();
            assertThat(desk.locator("h2", new Page.LocatorOptions().setHasText("The stays behind it: Mast panel")))
                    .isVisible();

            // the same address in another window says the same
            Page phone = chromium.open(Chromium.Look.PHONE_LAMP);
            phone.navigate(desk.url());
            assertThat(phone.locator(".found .small b").first())
                    .hasText(desk.locator(".found .small b").first().innerText());

            desk.navigate(app.address("/findings?part=report"));
            desk.getByText("Which carrier?").click();
            Page report = desk.context().newPage();
            List<String> asked = new ArrayList<>();
            report.onRequest(request -> asked.add(request.url()));
            report.navigate(
                    desk.getByText("Open and print").getAttribute("href").startsWith("/")
                            ? app.address(desk.getByText("Open and print").getAttribute("href"))
                            : "");
            assertThat(report.locator("h1")).hasText("What the trip says");
            assertThat(report.locator("h2").first()).hasText("In short");
            assertThat(report.getByText("Which setup earned its place?")).hasCount(2);
            assertThat(report.getByText("Which carrier?")).hasCount(0);
            assertEquals(1, asked.size(), asked::toString);
            report.close();
            assertEquals(List.of(), chromium.complaints());
        }
    }

    @Test
    void the_log_is_a_place_and_the_cards_have_their_books() throws Exception {
        try (RunningApp app = RunningApp.start(dir.resolve("demo"), true);
                Chromium chromium = new Chromium()) {
            Page desk = chromium.open(Chromium.Look.DESK_PAPER);
            desk.navigate(app.address("/logbook?part=map&setup=Window+whips"));
            // six stays at five campsites
            assertThat(desk.locator(".map-pennant")).hasCount(5);
            desk.locator(".map-pennant").first().click();
            assertThat(desk.locator(".bubble").first()).containsText("Window whips");
            desk.locator("nav.parts a", new Page.LocatorOptions().setHasText("Calendar"))
                    .click();
            assertTrue(desk.url().contains("setup=Window"), desk.url());
            desk.locator(".calendar .stayed a").first().click();
            Locator note = desk.getByLabel("Note of this stay");
            note.fill("the crane hums at night");
            desk.reload();
            assertThat(note).hasValue("the crane hums at night");
            desk.locator("button", new Page.LocatorOptions().setHasText(SAVE)).click();
            assertThat(desk.locator("button", new Page.LocatorOptions().setHasText(SAVE)))
                    .hasCount(0);
            desk.navigate(app.address("/logbook?find=crane+hums"));
            assertThat(desk.locator("tr.ant-table-row")).hasCount(1);

            desk.navigate(app.address("/logbook?part=ledger"));
            desk.getByLabel("The counter of Ostrel shows now").fill("50");
            desk.locator("button", new Page.LocatorOptions().setHasText(SAVE))
                    .first()
                    .click();
            assertThat(desk.locator("h1")).containsText("Ostrel SIM: 50 of 60 GB used; at this rate it is used up");

            desk.navigate(app.address("/tools?calculator=cable"));
            assertThat(desk.locator("h1")).containsText("It loses about 1.9 dB");
            desk.getByLabel("Length").fill("10");
            assertThat(desk.locator("h1")).containsText("3.7 dB");
            desk.getByText("Save the cable to Gear").click();
            assertThat(desk.getByText("Saved 240-class 10 m.")).isVisible();
            desk.getByLabel("Length").fill("long");
            assertThat(desk.locator(".hint.bad")).containsText("allowed is a number");

            Page small = chromium.open(Chromium.Look.PHONE_LAMP);
            small.navigate(app.address("/logbook"));
            small.getByText("Stays, towers, everything").click();
            Download archive = small.waitForDownload(
                    () -> small.locator("a[href='/api/archive']").click());
            byte[] first = Files.readAllBytes(archive.path());
            small.locator("input[accept*='.zip']")
                    .setInputFiles(archive.path().getParent().resolve(named(archive)));
            small.locator(".ant-modal button", new Page.LocatorOptions().setHasText("Restore"))
                    .click();
            assertThat(small.locator("[role=status]", new Page.LocatorOptions().setHasText("taken in")))
                    .containsText("before-archive-");
            Download again = small.waitForDownload(
                    () -> small.locator("a[href='/api/archive']").click());
            assertArrayEquals(first, Files.readAllBytes(again.path()));
            assertEquals(List.of(), chromium.complaints());
        }
    }

    /** The download under the name that it is offered by. */
    private static Path named(Download download) throws Exception {
        Path named = download.path().resolveSibling(download.suggestedFilename());
        Files.copy(download.path(), named);
        return named;
    }
}

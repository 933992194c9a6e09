package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The phone in the hand: let in, logging with and without the server, beside a desk that goes on. */
class PhoneTest {
    private static final String PHRASE = "rusty gate by the quarry";
    /** A thousand of them are sent over a link that breaks in the test of the queue itself. */
    private static final int MANY = Integer.getInteger("endure.waiting", 300);

    private static final double CUT = 0.02;

    /** Puts many measurements on the device, as they are kept when they were logged without the server. */
    private static final String QUEUED =
            """
            async count => {
              const db = await new Promise((done, failed) => {
                const open = indexedDB.open('syntoma', 1);
                open.onsuccess = () => done(open.result);
                open.onerror = () => failed(open.error);
              });
              const queue = db.transaction('queue', 'readwrite').objectStore('queue');
              for (let i = 0; i < count; i++) {
                const second = new Date(Date.UTC(2026, 7, 20, 6, 0, i)).toISOString().slice(0, 19) + '+00:00';
                queue.put({ key: crypto.randomUUID(), at: second, body: {
                  takenAt: second, campsite: 'Lighthouse Meadow', setup: 'Mast panel', carrier: 'Tarnwave',
                  outcome: 'ok', upMbps: '7', note: 'sent late ' + i } });
              }
              await new Promise(done => { queue.transaction.oncomplete = done; });
              db.close();
            }
            """;

    private static final int LOGGED_IN_TURN = Integer.getInteger("endure.entries", 5);
    private static final int STALE_MS = 5_000;
    private static final int LOOKS = 120;
    private static final int LOOK_MS = 250;

    /** Logs one measurement of now as a page does. */
    private static final String LOG =
            """
            async up => {
              const standing = await (await fetch('/api/standing')).json();
              const at = new Date(standing.now).toISOString().slice(0, 19) + '+00:00';
              const answer = await fetch('/api/measurements', {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', 'Idempotency-Key': crypto.randomUUID() },
                body: JSON.stringify({ takenAt: at, campsite: 'Lighthouse Meadow', setup: 'Mast panel',
                  carrier: 'Tarnwave', outcome: 'ok', upMbps: up }) });
              return answer.status;
            }
            """;

    @TempDir
    private static Path dir;

    private static RunningApp app;
    private static Chromium chromium;
    private static Page desk;

    @BeforeAll
    static void start() {
        app = RunningApp.start(dir.resolve("demo"), true);
        chromium = new Chromium();
        desk = chromium.openLasting(Chromium.Look.DESK_PAPER);
        desk.navigate(app.address("/devices"));
        desk.locator("#field-phrase").fill(PHRASE);
        button(desk, "Save").click();
        button(desk, "Open to the vehicle’s network").click();
        assertThat(button(desk, "Close to other devices")).isVisible();
    }

    @AfterAll
    static void stop() {
        chromium.close();
        app.close();
    }

    @AfterEach
    void put_the_phones_away() {
        chromium.closeAllBut(desk);
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A phone that has scanned the code on the desk. */
    private static Page phone() {
        desk.navigate(app.address("/devices"));
        button(desk, "Show a code for the phone").click();
        String code = desk.locator(".code").innerText();
        Page phone = chromium.openLasting(Chromium.Look.PHONE_LAMP);
        phone.navigate(app.tls("/pair#" + code));
        assertThat(phone.locator("h1")).hasText("This phone is paired.");
        assertFalse(phone.url().contains(code), phone.url());
        phone.getByText("Go to Tonight").click();
        assertThat(phone.locator("h1")).containsText("Mast panel");
        return phone;
    }

    /** Waits until the page is at hand without the server, as it is after some seconds. */
    private static void atHand(Page phone) {
        until(phone, "() => navigator.serviceWorker.controller !== null");
        until(phone, "async () => (await caches.keys()).some(key => key.includes('precache'))");
        until(
                phone,
                """
                () => new Promise(done => {
                  const open = indexedDB.open('syntoma', 1);
                  open.onsuccess = () => {
                    const seen = open.result.transaction('seen').objectStore('seen').get('answers');
                    seen.onsuccess = () => {
                      done(seen.result !== undefined && seen.result.queries.some(q => q.queryKey[0] === 'result'));
                      open.result.close();
                    };
                  };
                })
                """);
    }

    private static void until(Page page, String isSo) {
        for (int look = 0; look < LOOKS; look++) {
            if (Boolean.TRUE.equals(page.evaluate(isSo))) {
                return;
            }
            page.waitForTimeout(LOOK_MS);
        }
        throw new AssertionError("it did not come to be that " + isSo);
    }

    private static void log(Page phone, String up) {
        button(phone, "Log a reading").click();
        phone.locator("#field-upMbps").fill(up);
        button(phone, "Log it").click();
    }

    @Test
    void logged_without_the_server_it_waits_is_mended_and_is_sent_once() {
        Page phone = phone();
        atHand(phone);
        phone.context().setOffline(true);
        phone.reload();
        assertThat(phone.locator(".notices")).containsText("has not answered since");
        assertThat(phone.locator("h1")).containsText("Mast panel");
        log(phone, "13.371");
        log(phone, "14.483");
        assertThat(phone.locator(".notices")).containsText("2 measurements wait to be sent");
        phone.reload();
        phone.getByText("2 measurements wait to be sent").click();
        assertThat(phone.locator("main")).containsText("13.371");
        Locator second = phone.locator("tr", new Page.LocatorOptions().setHasText("14.483"));
        second.getByText("Delete").click();
        assertThat(second).hasCount(0);
        phone.locator(".ant-notification-notice-close").click();
        button(phone, "Fix").click();
        phone.locator(".ant-modal #field-upMbps").fill("15.597");
        button(phone, "Save").click();
        assertThat(phone.locator("main")).containsText("15.597");
        for (String view : List.of("/logbook", "/logbook?stay=8", "/trials", "/tonight")) {
            phone.navigate(app.tls(view));
            assertThat(phone.locator("main")).not().containsText("does not answer");
        }
        desk.navigate(app.address("/tonight"));
        phone.context().setOffline(false);
        assertThat(phone.locator(".notices")).isEmpty();
        // the desk shows it by itself
        assertThat(desk.locator("aside")).containsText("15.597");
        String csv = readAtDesk("/api/measurements.csv");
        assertEquals(1, count(csv, ",15.597,"));
        assertEquals(0, count(csv, ",13.371,") + count(csv, ",14.483,"));
    }

    @Test
    void what_is_sent_over_a_link_that_breaks_is_there_once() {
        Page phone = phone();
        Random random = new Random(11);
        int[] cuts = {0, 0};
        phone.route("**/api/measurements", route -> {
            double drawn = random.nextDouble();
            if (drawn < CUT) {
                cuts[0]++;
                route.abort();
            } else if (drawn < 2 * CUT) {
                // the server has stored it, and its answer is lost
                cuts[1]++;
                route.fetch();
                route.abort();
            } else {
                route.resume();
            }
        });
        phone.evaluate(QUEUED, MANY);
        phone.navigate(app.tls("/logbook"));
        phone.locator(".notices a").waitFor();
        assertThat(phone.locator(".notices"))
                .isEmpty(
                        new com.microsoft.playwright.assertions.LocatorAssertions.IsEmptyOptions().setTimeout(180_000));
        assertTrue(cuts[0] > 0 && cuts[1] > 0, cuts[0] + " and " + cuts[1] + " cuts");
        String csv = readAtDesk("/api/measurements.csv");
        List<String> sent =
                csv.lines().filter(line -> line.contains("sent late ")).toList();
        assertEquals(MANY, sent.size());
        assertEquals(
                MANY,
                sent.stream()
                        .map(line -> line.replaceAll(".*(sent late \\d+).*", "$1"))
                        .distinct()
                        .count());
    }

    @Test
    void a_run_that_two_devices_measured_is_kept_twice_until_somebody_says() {
        Page phone = phone();
        atHand(phone);
        phone.context().setOffline(true);
        logRun(phone, "21");
        assertThat(phone.locator(".notices")).containsText("1 measurement waits");
        desk.navigate(app.address("/tonight"));
        logRun(desk, "22");
        assertThat(desk.getByText("Logged Mast panel.")).isVisible();
        phone.context().setOffline(false);
        phone.getByText("1 measurement of this device needs a look").click();
        assertThat(phone.locator("main")).containsText("The same run was logged twice; both are kept");
        assertEquals(2, count(readAtDesk("/api/measurements.csv"), "Two devices"));
        button(phone, "Delete this one").click();
        assertThat(phone.locator(".notices")).isEmpty();
        String left = readAtDesk("/api/measurements.csv");
        assertEquals(1, count(left, "Two devices"));
        assertTrue(left.lines().anyMatch(line -> line.contains("Two devices") && line.contains(",22,")), left);
    }

    @Test
    void three_devices_log_in_turn_and_none_shows_what_is_older_than_five_seconds() {
        List<Page> devices = List.of(desk, phone(), phone());
        desk.navigate(app.address("/tonight"));
        for (int i = 0; i < LOGGED_IN_TURN; i++) {
            String up = "7." + (101 + 2 * i);
            assertEquals(201, devices.get(i % devices.size()).evaluate(LOG, up));
            long start = System.nanoTime();
            for (Page shows : devices) {
                assertThat(shows.locator("body")).containsText(up);
            }
            long ms = (System.nanoTime() - start) / 1_000_000;
            assertTrue(ms < STALE_MS, "it took " + ms + " ms until " + up + " was shown everywhere");
        }
        assertEquals(List.of(), chromium.complaints());
    }

    private static void logRun(Page page, String up) {
        assertThat(page.locator("h1")).containsText("Mast panel");
        page.keyboard().press("r");
        page.locator("#field-upMbps").fill(up);
        page.getByText("More: other figures").click();
        page.locator("#field-trial").fill("Two devices");
        page.locator("#field-round").fill("1");
        button(page, "Log it").click();
    }

    @Test
    void a_guest_reads_the_one_verdict_and_nothing_else() {
        desk.navigate(app.address("/trials?campsite=Amber+Spit&trial=Dome+again"));
        button(desk, "Share").click();
        button(desk, "Create link").click();
        String link = desk.locator(".guest-link input").inputValue();
        Page guest = chromium.openLasting(Chromium.Look.PHONE_PAPER);
        guest.navigate(app.tls(link.substring(link.indexOf("/guest"))));
        assertThat(guest.locator("h1")).containsText("Mast panel");
        assertFalse(guest.url().contains("#"), guest.url());
        assertThat(guest.locator("nav")).hasCount(0);
        guest.navigate(app.tls("/logbook"));
        assertThat(guest.locator("h1")).containsText("Mast panel");
        assertTrue(guest.url().contains("/trials?"), guest.url());
    }

    @Test
    void a_newer_version_is_offered_and_takes_no_draft_with_it() {
        desk.navigate(app.address("/tonight"));
        assertThat(desk.locator("h1")).containsText("Mast panel");
        desk.keyboard().press("r");
        desk.locator("#field-upMbps").fill("31.4");
        button(desk, "Later").click();
        desk.route("**/api/revision", PhoneTest::newer);
        desk.getByText("A newer version of Syntoma is running").waitFor();
        desk.unroute("**/api/revision");
        button(desk, "Open").click();
        assertThat(desk.locator("h1")).containsText("Mast panel");
        desk.keyboard().press("r");
        assertThat(desk.locator("#field-upMbps")).hasValue("31.4");
        button(desk, "Clear").click();
    }

    private static void newer(Route route) {
        route.fulfill(new Route.FulfillOptions()
                .setContentType("application/json")
                .setBody("{\"revision\":1,\"version\":\"of-tomorrow\"}"));
    }

    @Test
    void a_device_that_is_logged_out_is_at_the_door_at_once() {
        Page phone = phone();
        desk.navigate(app.address("/devices"));
        desk.locator("tr", new Page.LocatorOptions().setHasText("Phone"))
                .first()
                .getByText("Log out")
                .click();
        assertThat(phone.locator("h1")).hasText("This device is not logged in yet.");
        phone.locator("#field-phrase").fill("rusty gate by the query");
        button(phone, "Log in").click();
        assertThat(phone.getByText("the pass phrase is wrong")).isVisible();
        phone.locator("#field-phrase").fill(PHRASE);
        button(phone, "Log in").click();
        assertThat(phone.locator("h1")).containsText("Mast panel");
    }

    /** What a file holds; nothing where it has gone meanwhile, as what is on its way does. */
    private static String held(Path file) throws IOException {
        try {
            return new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
        } catch (NoSuchFileException gone) {
            return "";
        }
    }

    @Test
    void no_secret_stands_in_what_it_says_or_in_the_store() throws Exception {
        Page phone = phone();
        desk.navigate(app.address("/devices"));
        button(desk, "Show a code for the phone").click();
        String code = desk.locator(".code").innerText();
        String token = phone.context().cookies().get(0).value;
        for (String secret : List.of(PHRASE, code, token)) {
            assertFalse(app.said().contains(secret), app.said());
            try (Stream<Path> files = Files.walk(dir.resolve("demo"))) {
                for (Path file : files.filter(Files::isRegularFile).toList()) {
                    assertFalse(held(file).contains(secret), file.toString());
                }
            }
            assertFalse(readAtDesk("/api/measurements.csv").contains(secret));
        }
    }

    /** What the desk's page reads from the API, in its session. */
    private static String readAtDesk(String path) {
        return (String) desk.evaluate("path => fetch(path).then(answer => answer.text())", path);
    }

    private static int count(String text, String part) {
        Matcher found = Pattern.compile(Pattern.quote(part)).matcher(text);
        int count = 0;
        while (found.find()) {
            count++;
        }
        return count;
    }
}

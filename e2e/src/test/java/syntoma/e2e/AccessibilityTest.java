package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Every view against WCAG 2.2 A and AA, as far as a program can tell; narrow, in large letters, and by keys alone. */
class AccessibilityTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int LOOKS = 10;
    private static final int SETTLED_MS = 100;

    /** Where a mark of a map stands is what it says, so two may lie close; the same stays are in the list. */
    private static final String RUN =
            """
            async () => {
              const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
              const found = await axe.run(document, { runOnly: rules, elementRef: true });
              const lies = (v, n) => v.id === 'target-size' && n.element?.closest('.leaflet-marker-icon');
              return JSON.stringify(found.violations
                .map(v => ({ id: v.id, nodes: v.nodes.filter(n => !lies(v, n))
                  .map(n => n.target.join(' ') + ' ' + n.failureSummary.replace(/\\s+/g, ' ')) }))
                .filter(v => v.nodes.length > 0));
            }
            """;

    /** What sticks out of the page sideways, beyond what may be scrolled by itself. */
    private static final String SIDEWAYS =
            """
            () => {
              const width = document.documentElement.clientWidth;
              return document.documentElement.scrollWidth <= width ? [] : [...document.querySelectorAll('body *')]
                .filter(e => e.getBoundingClientRect().right > width + 1 && !e.closest('.table-scroll, .skip'))
                .slice(0, 5).map(e => e.tagName + '.' + e.className);
            }
            """;

    /**
     * What is pressed and is lower than a thumb needs: 40 px. A link within a sentence is as high as its line, and a mark of a map or
     * a drawing as large as what it shows.
     */
    private static final String LOW =
            """
            () => {
              const whole = '.ant-checkbox-wrapper, .ant-radio-wrapper, .ant-select, .ant-input-affix-wrapper, ' +
                '.ant-input-number, .ant-picker, .ant-segmented-item, .ant-switch, .ant-upload, label';
              const pressed = 'button, a[href], input, select, textarea, summary, [role=button], [role=tab], [role=switch]';
              const low = new Map();
              for (const e of document.querySelectorAll(pressed)) {
                const it = e.closest(whole) ?? e;
                const box = it.getBoundingClientRect();
                const style = getComputedStyle(it);
                const inText = it.tagName === 'A' && style.display === 'inline';
                if (box.width === 0 || style.visibility === 'hidden' || inText ||
                    e.closest('svg, .leaflet-container, .skip, [aria-hidden=true]') || box.height >= 39.5) continue;
                low.set(it.tagName + '.' + it.className + ' ' + (it.textContent || e.getAttribute('aria-label') || '')
                  .trim().slice(0, 24), Math.round(box.height));
              }
              return [...low].map(([what, height]) => what + ' ' + height + ' px');
            }
            """;

    /** What is pressed and has the name of something else that is pressed there and does another thing. */
    private static final String ALIKE =
            """
            () => {
              const named = new Map();
              for (const e of document.querySelectorAll('button, a[href]')) {
                if (e.closest('svg, .leaflet-container, .ant-pagination') || e.getBoundingClientRect().width === 0) continue;
                const name = (e.getAttribute('aria-label') || e.textContent || '').trim().replace(/\\s+/g, ' ');
                const does = e.tagName === 'A' ? e.getAttribute('href') : 'button ' + (named.get('BUTTON ' + name)?.size ?? 0);
                const key = e.tagName + ' ' + name;
                named.set(key, (named.get(key) ?? new Set()).add(does));
              }
              return [...named].filter(([, does]) => does.size > 1).map(([key, does]) => key + ' ×' + does.size);
            }
            """;

    @TempDir
    private static Path dir;

    private static RunningApp app;
    private static Chromium chromium;
    private static String axe;

    private final List<String> faults = new ArrayList<>();

    @BeforeAll
    static void start() throws Exception {
        app = RunningApp.start(dir.resolve("demo"), true);
        chromium = new Chromium();
        axe = Files.readString(Path.of(System.getProperty("syntoma.axe")));
    }

    @Test
    void a_thumb_hits_what_is_pressed_on_every_view() {
        Page page = chromium.open(Chromium.Look.PHONE_PAPER);
        for (String view : Views.ALL) {
            Views.goTo(page, app, view);
            for (Object low : (List<?>) page.evaluate(LOW)) {
                faults.add(view + ": " + low);
            }
        }
        assertEquals("", String.join("\n", faults));
    }

    @Test
    void buttons_and_links_that_do_different_things_have_names_of_their_own() {
        Page page = chromium.open(Chromium.Look.DESK_PAPER);
        for (String view : Views.ALL) {
            Views.goTo(page, app, view);
            page.waitForTimeout(SETTLED_MS * 5);
            for (Object alike : (List<?>) page.evaluate(ALIKE)) {
                faults.add(view + ": " + alike);
            }
        }
        assertEquals("", String.join("\n", faults));
    }

    @AfterAll
    static void stop() {
        chromium.close();
        app.close();
    }

    private void check(Page page, String what) throws Exception {
        page.evaluate(axe);
        for (JsonNode violation : JSON.readTree((String) page.evaluate(RUN))) {
            faults.add(what + ": " + violation.get("id").asText() + " " + violation.get("nodes"));
        }
    }

    private void checkAll(Page page, String look, Consumer<String> besides) throws Exception {
        for (String view : Views.ALL) {
            Views.goTo(page, app, view);
            check(page, look + " " + view);
            besides.accept(view);
        }
        for (var opened : dialogs()) {
            Views.goTo(page, app, "/tonight");
            opened.accept(page);
            assertThat(page.locator(".ant-modal").first()).isVisible();
            check(
                    page,
                    look + " "
                            + page.locator(".ant-modal")
                                    .first()
                                    .innerText()
                                    .lines()
                                    .findFirst()
                                    .orElse(""));
        }
    }

    private static List<Consumer<Page>> dialogs() {
        return List.of(
                page -> page.keyboard().press("r"), page -> page.keyboard().press("?"), page -> page.keyboard()
                        .press("/"));
    }

    @Test
    void every_view_at_the_desk_by_day() throws Exception {
        checkAll(chromium.open(Chromium.Look.DESK_PAPER), "desk", view -> {});
        assertEquals("", String.join("\n", faults));
    }

    @Test
    void every_view_on_a_narrow_phone_by_lamp_where_nothing_sticks_out() throws Exception {
        Page page = chromium.open(Chromium.Look.PHONE_LAMP);
        page.setViewportSize(320, 640);
        checkAll(page, "phone", view -> {
            sideways(page, "320 pixels " + view);
            // letters twice as large leave room for half as many
            page.setViewportSize(640, 400);
            page.evaluate("document.documentElement.style.zoom = '2'");
            sideways(page, "200 % " + view);
            page.evaluate("document.documentElement.style.zoom = ''");
            page.setViewportSize(320, 640);
        });
        assertEquals("", String.join("\n", faults));
    }

    private void sideways(Page page, String what) {
        // a drawing is drawn again for the width once that has settled
        List<?> found = (List<?>) page.evaluate(SIDEWAYS);
        for (int look = 0; look < LOOKS && !found.isEmpty(); look++) {
            page.waitForTimeout(SETTLED_MS);
            found = (List<?>) page.evaluate(SIDEWAYS);
        }
        if (!found.isEmpty()) {
            faults.add(what + ": " + found);
        }
    }
}

package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** With imperial units chosen no view shows a metre, and what is stored stays as it is. */
class UnitsTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int LOOKS = 10;
    private static final int SETTLED_MS = 400;

    /** A figure with a metric unit, or the unit of a field alone. */
    private static final Pattern METRIC =
            Pattern.compile("(?<![\\w.,])[−-]?\\d+(?:[.,]\\d+)?\\s?(?:m|cm|mm|km|mm²|cm²|m²|°C|kg)(?![\\w²/·∕])"
                    + "|^(?:m|cm|mm|km|mm²|cm²|m²|°C|kg)(?: up)?$|\\b(?:in|of) (?:m|mm|cm|km|kg)\\b|\\bmetres?\\b");

    /** What is read of a view: its words, what stands in its fields, and what a screen reader says of them. */
    private static final String SEEN =
            """
            () => {
              const own = e => [...e.childNodes].filter(n => n.nodeType === 3).map(n => n.textContent).join('').trim();
              const seen = [];
              for (const e of document.querySelectorAll('main *, header *, nav *, .ant-modal *')) {
                if (e.closest('.formula, style, script, option, [data-name]')) continue;
                const words = e.closest('p, li, td, label, h1, h2, h3, text');
                for (const text of [own(e), words?.textContent, e.getAttribute('aria-label'), e.getAttribute('placeholder'), e.title]) {
                  if (text) seen.push(text.replace(/\\s+/g, ' ').trim());
                }
              }
              return [...new Set(seen)];
            }
            """;

    /** Beside the views what is a page of its own to somebody who measures lengths. */
    private static final List<String> MORE = List.of(
            "/build?plan=1&sheet&start=2026-09-06",
            "/gear?setup=1",
            "/gear?setup=3",
            "/tools?calculator=isolation",
            "/tools?calculator=staircase",
            "/tools?calculator=bearing",
            "/tools?calculator=power");

    @TempDir
    private static Path dir;

    private static RunningApp app;
    private static Chromium chromium;

    @BeforeAll
    static void start() throws Exception {
        app = RunningApp.start(dir.resolve("demo"), true);
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
        app.close();
    }

    private static void chooseImperial(Page page) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Units: metric"))
                .click();
        assertThat(page.getByText("Units: imperial")).isVisible();
    }

    /** What things are called is the choice of whoever named them. */
    private static Pattern names(Page page) throws Exception {
        JsonNode gear = read(page, "/api/gear");
        List<String> names = new ArrayList<>();
        gear.forEach(item -> names.add(Pattern.quote(item.get("name").asText())));
        assertFalse(names.isEmpty());
        return Pattern.compile(String.join("|", names));
    }

    /** What a view shows once it stays the same: figures come after the first drawing. */
    private static List<?> settled(Page page) {
        List<?> before = List.of();
        List<?> seen = (List<?>) page.evaluate(SEEN);
        for (int i = 0; i < LOOKS && !seen.equals(before); i++) {
            page.waitForTimeout(SETTLED_MS);
            before = seen;
            seen = (List<?>) page.evaluate(SEEN);
        }
        return seen;
    }

    private static JsonNode read(Page page, String address) throws Exception {
        return JSON.readTree(page.request().get(app.address(address)).text());
    }

    @Test
    void what_is_typed_in_feet_is_stored_in_metres_and_shown_in_either() throws Exception {
        Page page = chromium.open(Chromium.Look.DESK_PAPER);
        Views.goTo(page, app, "/gear?part=need");
        JsonNode before = read(page, "/api/vehicle");
        Locator height = page.getByLabel("Vehicle height");
        assertThat(height).hasValue("2.86");
        chooseImperial(page);
        assertThat(height).hasValue("9.38");
        assertEquals(before, read(page, "/api/vehicle"), "showing it in feet changes nothing");
        height.fill("9,5");
        page.locator("#vehicle-body")
                .locator("xpath=ancestor::section")
                .getByText("Save")
                .click();
        page.reload();
        assertThat(height).hasValue("9.5");
        assertEquals(9.5 * 0.3048, read(page, "/api/vehicle").get("heightM").asDouble(), 1e-4);
    }

    @Test
    void no_view_shows_a_metre_where_imperial_is_chosen() throws Exception {
        Page page = chromium.open(Chromium.Look.DESK_PAPER);
        page.navigate(app.address("/tonight"));
        chooseImperial(page);
        Pattern names = names(page);
        List<String> metric = new ArrayList<>();
        int read = 0;
        for (String view : Stream.concat(Views.ALL.stream(), MORE.stream()).toList()) {
            Views.goTo(page, app, view);
            for (Object text : settled(page)) {
                read++;
                if (METRIC.matcher(names.matcher((String) text).replaceAll("")).find()) {
                    metric.add(view + ": " + text);
                }
            }
        }
        assertFalse(read < 2_000, "texts read: " + read);
        assertEquals("", String.join("\n", metric));
    }
}

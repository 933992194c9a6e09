package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** From what is needed to a setup that fits, through the real interface with the demo rig. */
class RigTest {
    @TempDir
    private static Path dir;

    private static RunningApp app;
    private static Chromium chromium;

    @BeforeAll
    static void start() {
        app = RunningApp.start(dir.resolve("demo"), true);
        chromium = new Chromium();
    }

    @AfterAll
    static void stop() {
        chromium.close();
        app.close();
    }

    @AfterEach
    void no_page_complained() {
        assertEquals(List.of(), chromium.complaints());
        chromium.closeAllBut();
    }

    private static Page open(Chromium.Look look, String path) {
        Page page = chromium.open(look);
        page.navigate(app.address(path));
        return page;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void choose(Page page, String field, String value) {
        page.locator("[id='" + field + "']").click();
        page.locator(".ant-select-dropdown:visible").getByTitle(value).first().click();
    }

    @Test
    void needs_are_ticked_and_changed_and_what_they_mean_follows() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?part=need");
        assertThat(page.locator("h1")).containsText("8 Mb/s down, 3 Mb/s up");
        page.getByText("Large uploads").click();
        assertThat(page.locator("h1")).containsText("3.1 Mb/s up");
        assertThat(page.locator("header")).containsText("Large uploads");
        page.locator("tr", new Page.LocatorOptions().setHasText("Large uploads"))
                .getByText("Change")
                .click();
        page.locator("#field-upMbps").fill("12.4");
        button(page, "Save").first().click();
        assertThat(page.locator("aside")).containsText("11 GB at 12.4 Mb/s takes 1 h 58 min");
        page.locator("tr", new Page.LocatorOptions().setHasText("Large uploads"))
                .getByRole(AriaRole.CHECKBOX)
                .click();
        assertThat(page.locator("h1")).containsText("3 Mb/s up");
    }

    @Test
    void gear_is_added_refused_in_place_and_survives_a_reload_while_typed() {
        Page page = open(Chromium.Look.DESK_LAMP, "/gear?part=shelf");
        button(page, "Add gear").click();
        page.locator(".ant-modal")
                .getByText("antenna", new Locator.GetByTextOptions().setExact(true))
                .click();
        page.locator("#field-name").fill("Hornbeam");
        page.locator("#field-price").fill("eighty");
        page.reload();
        assertThat(page.locator("#field-name")).hasValue("Hornbeam");
        button(page, "Save").click();
        assertThat(page.locator("#field-price-hint")).containsText("write a number");
        page.locator("#field-price").fill("€ 80,00");
        button(page, "Save").click();
        Locator added = page.locator("tr", new Page.LocatorOptions().setHasText("Hornbeam"));
        assertThat(added).isVisible();
        added.getByText("Delete").click();
        assertThat(page.getByText("Deleted Hornbeam.")).isVisible();
        button(page, "Undo").click();
        assertThat(page.locator("tr", new Page.LocatorOptions().setHasText("Hornbeam")))
                .isVisible();
    }

    @Test
    void who_saves_over_a_change_from_another_device_is_told_what_it_was() {
        Page desk = open(Chromium.Look.DESK_PAPER, "/gear?part=shelf");
        Page phone = open(Chromium.Look.PHONE_LAMP, "/gear?part=shelf");
        for (Page page : new Page[] {desk, phone}) {
            button(page, "Plover").click();
        }
        phone.locator("#field-price").fill("91");
        button(phone, "Save").click();
        assertThat(phone.locator(".ant-modal")).hasCount(0);
        desk.locator("#field-price").fill("87");
        button(desk, "Save").click();
        Locator told =
                desk.getByRole(AriaRole.DIALOG).filter(new Locator.FilterOptions().setHasText("Changed meanwhile"));
        assertThat(told.locator("tr", new Locator.LocatorOptions().setHasText("price")))
                .containsText("91");
        look(desk, "clash");
        button(desk, "Save mine anyway").click();
        assertThat(desk.locator("tr", new Page.LocatorOptions().setHasText("Plover")))
                .containsText("87");
    }

    /** A picture beside the tests' other reports, for whoever wants to see. */
    private static void look(Page page, String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target", "looks", name + ".png")));
    }

    @Test
    void gear_goes_out_and_comes_in_as_a_file() throws Exception {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?part=shelf");
        var download = page.waitForDownload(() -> page.getByText("Export gear").click());
        String text = Files.readString(download.path());
        assertTrue(text.contains("syntoma-gear-1") && text.contains("Curlew"), text);
        page.locator("input[type=file]").setInputFiles(download.path());
        assertThat(page.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("0 new items")))
                .isVisible();
    }

    @Test
    void a_chain_is_put_together_and_its_misfits_are_said_with_their_fix() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear");
        page.getByLabel("Name of the new setup").fill("Hotspot on the roof");
        button(page, "Add setup").click();
        assertThat(page.locator("h1")).containsText("has only a name");
        choose(page, "chain-Device", "Plover");
        button(page, "Add an antenna").click();
        assertThat(page.locator("aside")).containsText("adapter");
        choose(page, "chain-Antenna 1", "Alder");
        assertThat(page.locator("aside")).containsText("2 leads end in SMA-male; the port has TS9-female.");
        assertThat(page.locator("aside")).containsText("as pigtails, such as TS9 pigtail.");
        assertThat(page.locator("aside")).containsText("2 × TS9 pigtail");
        assertThat(page.locator("main")).containsText("changed, not saved yet");
        page.reload();
        assertThat(page.locator("main")).containsText("changed, not saved yet");
        button(page, "Save").click();
        assertThat(page.locator("main .over")).containsText("revision 1");
        assertThat(page.locator("h1")).containsText("Two streams reach Plover");
        assertThat(page.locator("main")).containsText("Wiring");
        assertThat(page.locator(".sticker").first()).containsText("→");
    }

    @Test
    void a_measured_setup_gets_its_next_revision() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?setup=1");
        assertThat(page.locator("main .over")).containsText("Roof dome, revision 1");
        button(page, "Edit parts").click();
        choose(page, "chain-Antenna 1", "Hazel (considered)");
        assertThat(page.locator("h1")).containsText("Four streams");
        button(page, "Save as revision 2").click();
        assertThat(page.locator("main .over")).containsText("Roof dome, revision 2");
        assertThat(page.locator("main .over")).containsText("0 measurements");
    }

    @Test
    void the_booster_lets_one_of_five_bands_through_and_another_region_can_be_asked() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?setup=4");
        assertThat(page.getByText("With Bittern on Tarnwave: one of five bands works in both directions."))
                .isVisible();
        assertThat(page.locator("main")).containsText("Bittern passes 87 % of the uplink");
        page.getByLabel("Carrier and region").click();
        page.locator(".ant-select-dropdown:visible")
                .getByTitle("Tarnwave, West shore")
                .click();
        assertThat(page.getByText("one of three bands works")).isVisible();
    }

    @Test
    void sliders_answer_at_once_and_keep_nothing() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?setup=3");
        Locator delta = page.getByText("Compared with the device’s own antenna inside: about");
        String before = delta.textContent();
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Cable length"))
                .focus();
        for (int i = 0; i < 6; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(page.locator("aside")).containsText("Cable beyond the lead: 7.5 m");
        assertThat(page.locator("main")).containsText("7.5 m, 240-class");
        assertTrue(!before.equals(delta.textContent()));
        button(page, "Units: metric").click();
        assertThat(page.locator("aside")).containsText("24.6 ft");
        button(page, "Units: imperial").click();
        button(page, "Back to the setup").click();
        assertThat(page.getByText(before)).isVisible();
    }

    @Test
    void candidates_are_ranked_and_weights_change_the_order() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?part=candidates");
        assertThat(page.locator("h1")).containsText("cheapest that meets the need");
        assertThat(page.locator("table.candidates")).containsText("12 V stabiliser");
        page.getByText("antennas", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("table.candidates")).containsText("Rowan");
        assertThat(page.locator("table.candidates")).containsText("unknown");
        page.getByText("setups", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("table.candidates")).containsText("Mast panel");
    }

    @Test
    void the_shelf_can_be_looked_up_in_a_shop_on_a_phone() {
        Page page = open(Chromium.Look.PHONE_LAMP, "/gear?part=shelf");
        page.getByPlaceholder("find by name or band").fill("TS9");
        assertThat(page.getByText("TS9 pigtail")).isVisible();
        assertThat(page.getByText("2 × TS9-female")).isVisible();
        for (String path : List.of("/gear?setup=3", "/gear?part=candidates", "/gear?part=need", "/gear?part=shelf")) {
            page.navigate(app.address(path));
            assertThat(page.locator("h1")).not().isEmpty();
            page.waitForTimeout(600);
            int wide = (int) page.evaluate("document.documentElement.scrollWidth");
            assertTrue(wide <= 390, path + " is " + wide + " px wide");
        }
    }

    @Test
    void a_router_is_put_on_the_shelf_from_a_pasted_sheet_on_a_phone() {
        Page page = open(Chromium.Look.PHONE_PAPER, "/gear?part=shelf");
        button(page, "Add gear").click();
        button(page, "Paste a data sheet").click();
        page.locator("#sheet-text")
                .fill("Wigeon 5G router\n€ 349,00\nLTE B1/B3/B7/B20, 5G n28/n78\n5G 4x4 MIMO, 4G 2x2 MIMO\n"
                        + "4 x SMA antenna sockets\nDC input 9-30 V");
        button(page, "Read").click();
        assertThat(page.getByText("B1 B3 B7 B20 n28 n78")).isVisible();
        page.getByText("4 × cellular, SMA-female").click();
        page.getByText("Wigeon 5G router", new Page.GetByTextOptions().setExact(true))
                .click();
        button(page, "Use these 10 values").click();
        assertThat(page.locator("#field-name")).hasValue("Wigeon 5G router");
        button(page, "Save").click();
        page.getByPlaceholder("find by name or band").fill("Wigeon");
        assertThat(page.locator("main")).containsText("349");
    }

    @Test
    void a_second_antenna_serves_the_bands_that_the_first_does_not_pass() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear?setup=3");
        assertThat(page.locator("h1")).containsText("four of five bands");
        button(page, "Edit parts").click();
        button(page, "Add an antenna").click();
        choose(page, "chain-Antenna 2", "Alder");
        assertThat(page.locator("main")).containsText("With Rowan and Alder on Tarnwave");
        button(page, "Discard changes").click();
        assertThat(page.locator("h1")).containsText("four of five bands");
        assertThat(page.locator("main")).containsText("RSRP: predicted and measured");
        assertThat(page.locator("main")).containsText("as predicted, measured side by side");
    }

    @Test
    void a_roof_plan_is_drawn_by_pointer_and_key_kept_and_the_second_browser_is_told() {
        Page desk = open(Chromium.Look.DESK_PAPER, "/build");
        Page other = open(Chromium.Look.PHONE_LAMP, "/build");
        assertThat(desk.locator("h1")).containsText("Alder is best placed");
        assertThat(other.locator("h1")).containsText("Alder is best placed");
        desk.getByText("Place it here").first().click();
        Locator alder = desk.locator("g[aria-label^='Alder, ']");
        BoundingBox box = alder.boundingBox();
        desk.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        desk.mouse().down();
        desk.mouse().move(box.x - 150, box.y + 60);
        desk.mouse().move(box.x - 320, box.y + 60);
        desk.mouse().up();
        assertThat(desk.locator("h1")).containsText("Not there: ");
        assertThat(desk.getByText("Where it is now costs: ")).isVisible();
        desk.keyboard().press("ArrowLeft");
        assertThat(desk.getByText("Saved.")).isVisible();
        String stands = alder.getAttribute("aria-label");
        desk.reload();
        assertThat(alder).hasAttribute("aria-label", stands);

        other.locator("#field-leads-ductMm").fill("40");
        assertThat(other.getByRole(AriaRole.DIALOG)).containsText("Changed meanwhile");
        assertThat(other.getByText("Not saved yet.")).isVisible();
        button(other, "Save mine anyway").click();
        assertThat(other.getByText("Saved.")).isVisible();
        desk.locator("#field-leads-ductMm").fill("0");
        assertThat(desk.getByRole(AriaRole.ALERT).first()).containsText("duct is 0 mm; allowed is 4 to 200 mm");
    }

    @Test
    void a_job_sheet_is_ticked_on_the_phone_and_stands_on_the_desk() {
        Page desk = open(Chromium.Look.DESK_PAPER, "/build");
        desk.getByText("The job sheet: what to do in which order").click();
        assertThat(desk.locator("h1")).containsText("Build in Alder: ");
        assertThat(desk.locator(".job-next h2")).containsText("Lay out parts and tools");
        Page phone = open(Chromium.Look.PHONE_LAMP, desk.url().replace(app.address(""), ""));
        button(phone, "Done")
                .or(phone.locator(".job-next .ant-btn-primary"))
                .first()
                .click();
        assertThat(phone.locator(".job-next h2")).containsText("Connect everything on a table");
        assertThat(phone.locator(".job-next")).containsText("Keep the distance from a transmitting antenna");
        assertThat(desk.locator("h1")).containsText("1 of ");
        phone.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Pilot hole of 3 mm, from inside"))
                .click();
        assertThat(phone.getByRole(AriaRole.ALERT)).containsText("do this first: Look above the ceiling");
    }

    @Test
    void a_setup_is_renamed_and_a_fresh_one_deleted_and_brought_back() {
        Page page = open(Chromium.Look.DESK_PAPER, "/gear");
        page.getByLabel("Name of the new setup").fill("Spare hotspot");
        button(page, "Add setup").click();
        button(page, "Rename").click();
        page.getByLabel("New name").fill("Spare");
        button(page, "Rename").click();
        assertThat(page.locator("main .over")).containsText("Spare ·");
        button(page, "Delete").click();
        assertThat(page.getByText("Spare is deleted.")).isVisible();
        button(page, "Undo").click();
        assertThat(page.locator("main").getByText("Spare", new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
    }
}

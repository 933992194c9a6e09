package syntoma.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;

/** The views of the demo, as addresses. */
final class Views {
    private static final String TRIAL = "/trials?campsite=Amber+Spit&trial=Dome+again";

    static final List<String> ALL = List.of(
            "/tonight",
            "/gear?part=need",
            "/gear?part=shelf",
            "/gear?part=setups",
            "/gear?setup=2",
            "/gear?setup=4",
            "/gear?part=candidates",
            "/build",
            "/trials",
            "/trials?plan",
            "/aim",
            "/why",
            "/arrive",
            "/leave",
            "/practice",
            TRIAL,
            "/logbook",
            "/logbook?stay=8",
            "/logbook?part=changes",
            "/logbook?part=names",
            "/logbook?part=waiting",
            "/logbook?import=1",
            "/logbook?part=map",
            "/logbook?part=calendar",
            "/logbook?part=ledger",
            "/findings",
            "/findings?see=plain",
            "/findings?see=strength",
            "/findings?see=time",
            "/findings?see=cost",
            "/findings?part=report",
            "/tools",
            "/tools?calculator=hill",
            "/tools?calculator=cable",
            "/devices",
            "/measure",
            "/walk",
            "/pair",
            "/guest",
            "/no-such-page");

    private Views() {}

    /** Goes there, and waits until it is drawn. */
    static void goTo(Page page, RunningApp app, String view) {
        page.navigate(app.address(view));
        assertThat(page.locator("h1").first()).not().isEmpty();
        assertThat(page.getByText("Loading…")).hasCount(0);
    }
}

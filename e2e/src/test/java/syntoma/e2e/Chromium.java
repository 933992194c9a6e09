package syntoma.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Debian's Chromium, without a monitor. Whatever a page complains of is remembered. */
final class Chromium implements AutoCloseable {
    /** A size and a theme that the interface must look right in. */
    enum Look {
        DESK_PAPER(1280, 800, "paper"),
        DESK_LAMP(1280, 800, "lamp"),
        PHONE_PAPER(390, 844, "paper"),
        PHONE_LAMP(390, 844, "lamp");

        private final int width;
        private final int height;
        private final String theme;

        Look(int width, int height, String theme) {
            this.width = width;
            this.height = height;
            this.theme = theme;
        }

        int width() {
            return width;
        }
    }

    static {
        // a machine that does other work at the same time is slow, not wrong
        PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    }

    private final Playwright playwright = Playwright.create();
    private final Browser browser = playwright
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            // a phone that was told to trust the certificate
                            "--ignore-certificate-errors")));
    private final List<String> complaints = new ArrayList<>();

    /** A new window in a look, with nothing remembered in it, and nothing that it would keep for when the server is away. */
    Page open(Look look) {
        return open(look, ServiceWorkerPolicy.BLOCK);
    }

    /** A new window that keeps the interface at hand for when the server is away. */
    Page openLasting(Look look) {
        return open(look, ServiceWorkerPolicy.ALLOW);
    }

    private Page open(Look look, ServiceWorkerPolicy workers) {
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(look.width, look.height)
                .setTimezoneId("Europe/Stockholm")
                .setReducedMotion(ReducedMotion.REDUCE)
                .setIgnoreHTTPSErrors(true)
                .setServiceWorkers(workers)
                .setAcceptDownloads(true));
        context.addInitScript("localStorage.setItem('syntoma.theme', '\"" + look.theme + "\"')");
        context.setDefaultTimeout(30_000);
        Page page = context.newPage();
        page.onConsoleMessage(message -> {
            // a refused value is an answer of the API that Chromium reports as a failed load
            boolean refusal = message.text().startsWith("Failed to load resource")
                    && (message.text().contains("400")
                            || message.text().contains("401")
                            || message.text().contains("409")
                            || message.text().contains("net::ERR_"));
            if (message.type().equals("error") && !refusal) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
        return page;
    }

    /** Waits until a field has the focus of its page, whichever page is in front. */
    static void awaitFocus(Page page, String selector) {
        page.waitForFunction("wanted => document.activeElement === document.querySelector(wanted)", selector);
    }

    /** Closes the windows of a test that is over, which would go on asking the application. */
    void closeAllBut(Page... kept) {
        for (BrowserContext context : List.copyOf(browser.contexts())) {
            if (Arrays.stream(kept).noneMatch(page -> page.context() == context)) {
                context.close();
            }
        }
    }

    /** What pages complained of so far. */
    List<String> complaints() {
        return List.copyOf(complaints);
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}

package syntoma.bench;

import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;

/** What the first and the second view of Pitch take over the network on a phone, all of it counted as it is sent. */
final class PageBench {
    private static final double MOST_FIRST_KB = 350;
    private static final double MOST_SECOND_KB = 50;
    private static final int SETTLED_MS = 5_000;

    /** What is told as it comes never ends; all else of the view has come by then. */
    private static final int QUIET_MS = 1_200;

    private PageBench() {}

    static void run(Path start) throws Exception {
        Path dir = Files.createTempDirectory("syntoma-page");
        try (RunningApp app = RunningApp.start(start, dir.resolve("data"), dir.resolve("gc"));
                Counting counting = new Counting(app.port());
                Playwright playwright = Playwright.create();
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                                .setArgs(
                                        List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")))) {
            app.showDemo();
            BrowserContext phone = browser.newContext(new Browser.NewContextOptions().setViewportSize(390, 844));
            Page page = phone.newPage();
            AtomicLong first = new AtomicLong();
            CDPSession network = phone.newCDPSession(page);
            network.send("Network.enable");
            network.on("Network.loadingFinished", event -> first.addAndGet(bytes(event)));
            String address = "http://127.0.0.1:" + counting.port() + "/tonight";
            page.navigate(address);
            page.waitForSelector("h1:has-text('Mast panel')");
            page.waitForTimeout(QUIET_MS);
            double firstKb = first.get() / 1_000.0;
            Bench.report(
                    "first view on a phone, until it is quiet",
                    firstKb,
                    "kB",
                    "at most 350 kB",
                    firstKb <= MOST_FIRST_KB);
            page.waitForTimeout(SETTLED_MS);
            Bench.report("with what is fetched ahead", first.get() / 1_000.0, "kB", "for comparison", true);
            double laidBy = counting.sent() / 1_000.0;
            Bench.report("first visit with all that is kept for away", laidBy, "kB", "for comparison", true);

            page.close();
            long before = counting.sent();
            Page again = phone.newPage();
            again.navigate(address);
            again.waitForSelector("h1:has-text('Mast panel')");
            double secondKb = (counting.sent() - before) / 1_000.0;
            Bench.report("second visit on a phone", secondKb, "kB", "under 50 kB", secondKb < MOST_SECOND_KB);
        }
    }

    private static long bytes(JsonObject event) {
        return event.get("encodedDataLength").getAsLong();
    }

    /** Stands between the browser and the application, and counts what the application sends. */
    private static final class Counting implements AutoCloseable {
        private final ServerSocket socket = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        private final AtomicLong sent = new AtomicLong();
        private final int to;

        Counting(int to) throws IOException {
            this.to = to;
            go(() -> {
                while (!socket.isClosed()) {
                    Socket browser = socket.accept();
                    Socket application = new Socket(InetAddress.getLoopbackAddress(), to);
                    go(() -> pass(browser.getInputStream(), application.getOutputStream(), new AtomicLong()));
                    go(() -> pass(application.getInputStream(), browser.getOutputStream(), sent));
                }
            });
        }

        int port() {
            return socket.getLocalPort();
        }

        long sent() {
            return sent.get();
        }

        private static void pass(InputStream from, OutputStream into, AtomicLong counted) throws IOException {
            byte[] piece = new byte[8_192];
            try (from;
                    into) {
                for (int read = from.read(piece); read >= 0; read = from.read(piece)) {
                    into.write(piece, 0, read);
                    counted.addAndGet(read);
                }
            }
        }

        private interface Work {
            void run() throws IOException;
        }

        private static void go(Work work) {
            Thread thread = new Thread(() -> {
                try {
                    work.run();
                } catch (IOException ended) {
                    // one of the two has gone
                }
            });
            thread.setDaemon(true);
            thread.start();
        }

        @Override
        public void close() throws IOException {
            socket.close();
        }
    }
}

package syntoma.standin.speed;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;

/** The page on which a browser makes a run, and what belongs to it. */
record Page(String type, String text) {
    /** Nothing from elsewhere, and nothing elsewhere but the way back, which is a link. */
    static final String POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; connect-src 'self'; "
            + "base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    private static final Map<String, Page> PAGES = Map.of(
            "GET /measure", of("measure.html", "text/html"),
            "GET /measure.css", of("measure.css", "text/css"),
            "GET /measure.js", of("measure.js", "text/javascript"));

    /** What stands at an address. */
    static Optional<Page> at(String asked) {
        return Optional.ofNullable(PAGES.get(asked));
    }

    private static Page of(String name, String type) {
        try (InputStream in = Page.class.getResourceAsStream(name)) {
            return new Page(type + ";charset=utf-8", new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(name, unreadable);
        }
    }
}

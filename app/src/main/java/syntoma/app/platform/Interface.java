package syntoma.app.platform;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import syntoma.app.store.Revision;

/**
 * Serves the built interface: files whose name carries their hash for a year, the page itself afresh each time with a nonce
 * for its styles.
 */
@Configuration
class Interface implements WebMvcConfigurer {
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/icon.svg", "/icon-*.png", "/manifest.webmanifest")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(1)));
        // looked at afresh each time, so that a new version is found at once
        registry.addResourceHandler("/sw.js")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache());
    }

    /** The description of the API, as it was made from the code. */
    @RestController
    @Hidden
    static class Description {
        @GetMapping(value = "/api/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
        Resource description() {
            return new ClassPathResource("openapi.json");
        }
    }

    /**
     * Where the log and the interface stand.
     *
     * @param revision grows with each change of the store
     * @param version of the interface that is served; a page of another one is of before
     */
    record NowView(long revision, String version) {}

    /** What a page asks again and again, to know whether what it shows is of now. */
    @RestController
    static class InterfaceVersion {
        private final Revision revision;
        private final Page page;

        InterfaceVersion(Revision revision, Page page) {
            this.revision = revision;
            this.page = page;
        }

        @GetMapping("/api/revision")
        NowView now() throws IOException {
            return new NowView(revision.number(), page.version());
        }
    }

    /** The page; the views are addresses of its own. */
    @Controller
    static class Page {
        private static final int VERSION_LENGTH = 12;

        /** The first part of an address that belongs to no other part of the application, and is no file. */
        private static final String NO_PART = "(?!api$|assets$|actuator$)[^.]+";

        private static final Map<String, String> MOVED =
                Map.of("/pitch", "/tonight", "/rig", "/gear", "/fit-out", "/build", "/bench", "/tools");

        private String html;
        private String version;

        @GetMapping({
            "/",
            "/tonight",
            "/gear",
            "/build",
            "/trials",
            "/logbook",
            "/findings",
            "/tools",
            "/devices",
            "/measure",
            "/walk",
            "/aim",
            "/practice",
            "/why",
            "/arrive",
            "/leave",
            "/pair",
            "/guest"
        })
        ResponseEntity<String> page(@RequestAttribute String nonce) throws IOException {
            return page(HttpStatus.OK, nonce);
        }

        /** Addresses of before: bookmarks and printed pages go on working. */
        @GetMapping({"/pitch", "/rig", "/fit-out", "/bench"})
        ResponseEntity<Void> redirect(HttpServletRequest request) {
            String query = request.getQueryString();
            String now = MOVED.get(request.getServletPath()) + (query == null ? "" : "?" + query);
            return ResponseEntity.status(HttpStatus.PERMANENT_REDIRECT)
                    .location(URI.create(now))
                    .build();
        }

        /** An address that is none: who looks at it sees the application's own page, which says so. */
        @GetMapping({"/{view:" + NO_PART + "}", "/{view:" + NO_PART + "}/**"})
        ResponseEntity<String> unknownAddress(HttpServletRequest request, @RequestAttribute String nonce)
                throws IOException {
            String accepted = request.getHeader(HttpHeaders.ACCEPT);
            if (accepted == null || !accepted.contains(MediaType.TEXT_HTML_VALUE)) {
                throw new NotFoundException("there is nothing at this address");
            }
            return page(HttpStatus.NOT_FOUND, nonce);
        }

        private ResponseEntity<String> page(HttpStatus status, String nonce) throws IOException {
            read();
            return ResponseEntity.status(status)
                    .contentType(MediaType.TEXT_HTML)
                    .cacheControl(CacheControl.noStore())
                    .body(html.replace("%NONCE%", nonce));
        }

        String version() throws IOException {
            read();
            return version;
        }

        /** The page as it was built, with its version in it: all other files are named in it by their content. */
        private synchronized void read() throws IOException {
            if (html == null) {
                try (var in = new ClassPathResource("static/index.html").getInputStream()) {
                    byte[] built = in.readAllBytes();
                    version = DigestUtils.md5DigestAsHex(built).substring(0, VERSION_LENGTH);
                    html = new String(built, StandardCharsets.UTF_8).replace("%VERSION%", version);
                }
            }
        }
    }
}

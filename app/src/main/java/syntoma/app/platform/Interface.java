package syntoma.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.Set;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Serves the built interface: files whose name carries their hash for a year, the page itself afresh each time with a nonce
 * for its styles. Only this machine may ask, and only pages of this application may change anything.
 */
@Configuration
class Interface implements WebMvcConfigurer {
    private static final Set<String> HOSTS = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/icon.svg")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(1)));
    }

    @Bean
    OncePerRequestFilter guard() {
        SecureRandom random = new SecureRandom();
        return new OncePerRequestFilter() {
            @Override
            protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                    throws ServletException, IOException {
                String site = request.getHeader("Sec-Fetch-Site");
                boolean foreign = site != null && !site.equals("same-origin") && !site.equals("none");
                boolean changes = !Set.of("GET", "HEAD", "OPTIONS").contains(request.getMethod());
                if (!HOSTS.contains(request.getServerName()) || (changes && foreign)) {
                    response.sendError(HttpServletResponse.SC_FORBIDDEN);
                    return;
                }
                byte[] bytes = new byte[16];
                random.nextBytes(bytes);
                String nonce = Base64.getEncoder().encodeToString(bytes);
                request.setAttribute("nonce", nonce);
                response.setHeader(
                        "Content-Security-Policy",
                        "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-" + nonce + "'; "
                                + "font-src 'self'; img-src 'self' data:; connect-src 'self'; base-uri 'none'; "
                                + "form-action 'none'; frame-ancestors 'none'");
                response.setHeader("X-Content-Type-Options", "nosniff");
                response.setHeader("Referrer-Policy", "no-referrer");
                chain.doFilter(request, response);
            }
        };
    }

    /** The page; the views are addresses of its own. */
    @Controller
    static class Page {
        private String html;

        @GetMapping({"/", "/pitch", "/rig", "/fit-out", "/trials", "/logbook", "/findings", "/bench"})
        ResponseEntity<String> page(@RequestAttribute String nonce) throws IOException {
            if (html == null) {
                try (var in = new ClassPathResource("static/index.html").getInputStream()) {
                    html = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                }
            }
            return ResponseEntity.ok()
                    .contentType(MediaType.TEXT_HTML)
                    .cacheControl(CacheControl.noStore())
                    .body(html.replace("%NONCE%", nonce));
        }
    }
}

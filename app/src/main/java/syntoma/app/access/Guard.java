package syntoma.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Locale;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import syntoma.app.platform.Problem;
import syntoma.app.platform.SafeHeaders;

/**
 * Turns away calls by another name than this machine's (a page elsewhere may have its name point here) and changes that a
 * page from elsewhere asks for. Gives every page a fresh nonce for its styles.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class Guard extends OncePerRequestFilter {
    private static final Set<String> HOSTS = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN_SITE = Set.of("same-origin", "none");
    private static final int MISDIRECTED = 421;
    private static final int NONCE_BYTES = 16;

    private final SecureRandom random = new SecureRandom();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        if (host == null || host.isBlank()) {
            Problem.write(response, HttpServletResponse.SC_BAD_REQUEST, "Host is missing; every request names it");
        } else if (!HOSTS.contains(name(host)) || !isOwn(request.getServerName())) {
            Problem.write(response, MISDIRECTED, "Host is not this machine; allowed are 127.0.0.1 and localhost");
        } else if (request.getMethod().equals("TRACE")) {
            Problem.write(response, HttpServletResponse.SC_METHOD_NOT_ALLOWED, "the method is not allowed here");
        } else if (!READING.contains(request.getMethod()) && isForeign(request, host)) {
            Problem.write(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "a page from elsewhere asked for this change; only Syntoma's own pages may");
        } else {
            byte[] bytes = new byte[NONCE_BYTES];
            random.nextBytes(bytes);
            String nonce = Base64.getEncoder().encodeToString(bytes);
            request.setAttribute("nonce", nonce);
            SafeHeaders.set(response, SafeHeaders.page(nonce));
            chain.doFilter(request, response);
        }
    }

    private static boolean isOwn(String serverName) {
        return HOSTS.contains(serverName) || serverName.equals("::1") || serverName.equals("0:0:0:0:0:0:0:1");
    }

    private static String name(String host) {
        int port = host.lastIndexOf(':');
        return (port > host.lastIndexOf(']') ? host.substring(0, port) : host).toLowerCase(Locale.ROOT);
    }

    private static boolean isForeign(HttpServletRequest request, String host) {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        return site != null && !OWN_SITE.contains(site)
                || origin != null && !origin.equalsIgnoreCase(request.getScheme() + "://" + host);
    }
}

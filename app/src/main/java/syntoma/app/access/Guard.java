package syntoma.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import syntoma.app.platform.LocalMachine;
import syntoma.app.platform.Problem;
import syntoma.app.platform.SafeHeaders;
import syntoma.app.platform.Tiles;

/**
 * Turns away calls by another name than this machine's (a page elsewhere may have its name point here), changes that a page
 * from elsewhere asks for, plain HTTP from the network and, while the network is served, whoever has not logged in. Gives
 * every page a fresh nonce for its styles.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class Guard extends OncePerRequestFilter {
    private static final Set<String> HOSTS = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OWN_SITE = Set.of("same-origin", "none");
    private static final int MISDIRECTED = 421;
    private static final int PERMANENT_REDIRECT = 308;
    private static final int NONCE_BYTES = 16;

    private final SecureRandom random = new SecureRandom();
    private final Network network;
    private final Callers callers;
    private final Tiles tiles;

    Guard(Network network, Callers callers, Tiles tiles) {
        this.network = network;
        this.callers = callers;
        this.tiles = tiles;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        if (host == null || host.isBlank()) {
            Problem.write(response, HttpServletResponse.SC_BAD_REQUEST, "Host is missing; every request names it");
        } else if (!isOwn(name(host)) || !isOwn(bracketed(request.getServerName()))) {
            Problem.write(response, MISDIRECTED, "Host is not this machine; allowed are its own addresses and names");
        } else if (request.getMethod().equals("TRACE")) {
            Problem.write(response, HttpServletResponse.SC_METHOD_NOT_ALLOWED, "the method is not allowed here");
        } else if (!request.isSecure() && !LocalMachine.isSender(request)) {
            toTls(request, response, host);
        } else if (!READING.contains(request.getMethod()) && isForeign(request, host)) {
            Problem.write(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "a page from elsewhere asked for this change; only Syntoma's own pages may");
        } else {
            letIn(request, response, chain);
        }
    }

    private void letIn(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (network.isServed() && !OwnFiles.include(request)) {
            Optional<Session> session = callers.session(request);
            if (session.isEmpty()) {
                Problem.write(
                        response,
                        HttpServletResponse.SC_UNAUTHORIZED,
                        "this device has not logged in, or its session has ended");
                return;
            }
            String page = session.get().page();
            if (page != null && !GuestPage.of(page).allows(request)) {
                Problem.write(
                        response,
                        HttpServletResponse.SC_FORBIDDEN,
                        "the link was for one page, to be read; this is another");
                return;
            }
        }
        byte[] bytes = new byte[NONCE_BYTES];
        random.nextBytes(bytes);
        String nonce = Base64.getEncoder().encodeToString(bytes);
        request.setAttribute("nonce", nonce);
        if (request.getRequestURI().startsWith("/assets/")) {
            SafeHeaders.setOfPart(response);
        } else {
            SafeHeaders.set(response, SafeHeaders.page(nonce, tiles.origin()));
        }
        if (request.getRequestURI().startsWith("/api/")) {
            response.setHeader("Cache-Control", "no-store");
        }
        chain.doFilter(request, response);
    }

    /** Who types the address without https is led there; a call by a program is told. */
    private static void toTls(HttpServletRequest request, HttpServletResponse response, String host)
            throws IOException {
        if (READING.contains(request.getMethod()) && OwnFiles.include(request)) {
            response.setStatus(PERMANENT_REDIRECT);
            String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
            response.setHeader("Location", "https://" + host + request.getRequestURI() + query);
            SafeHeaders.set(response, SafeHeaders.NO_PAGE);
            response.setContentLength(0);
        } else {
            Problem.write(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "the network is served over https alone; ask with https");
        }
    }

    private boolean isOwn(String host) {
        return HOSTS.contains(host) || host.equals("[0:0:0:0:0:0:0:1]") || network.isNamed(host);
    }

    private static String bracketed(String serverName) {
        return serverName.contains(":") && !serverName.startsWith("[") ? "[" + serverName + "]" : serverName;
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

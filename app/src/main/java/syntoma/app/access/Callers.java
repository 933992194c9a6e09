package syntoma.app.access;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** Who is calling: from this machine or another, and in which session. */
@Component
class Callers {
    /** Cookies know no ports, and a second Syntoma may run beside this one: the name has the port in it. */
    private static final String COOKIE = "syntoma-";

    private final Sessions sessions;

    Callers(Sessions sessions) {
        this.sessions = sessions;
    }

    Optional<Session> session(HttpServletRequest request) {
        return sessions.of(token(request));
    }

    @Nullable
    private static String token(HttpServletRequest request) {
        Cookie[] cookies = request.getCookies();
        if (cookies != null) {
            for (Cookie cookie : cookies) {
                if (cookie.getName().equals(COOKIE + request.getServerPort())) {
                    return cookie.getValue();
                }
            }
        }
        return null;
    }

    /** Gives a device the word of its session. On this machine's own plain HTTP nothing leaves it. */
    static void give(HttpServletRequest request, HttpServletResponse response, String token, Duration lasts) {
        ResponseCookie cookie = ResponseCookie.from(COOKIE + request.getServerPort(), token)
                .httpOnly(true)
                .secure(request.isSecure())
                .sameSite("Strict")
                .path("/")
                .maxAge(lasts)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    /** Renews how long the device keeps its word. */
    static void renew(HttpServletRequest request, HttpServletResponse response, Duration lasts) {
        String token = token(request);
        if (token != null) {
            give(request, response, token, lasts);
        }
    }
}

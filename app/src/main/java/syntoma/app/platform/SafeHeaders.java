package syntoma.app.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.util.function.BiConsumer;

/** What every answer carries: nothing from elsewhere runs in it, and nobody guesses what it is. */
public final class SafeHeaders {
    /** The policy of an answer that is no page: nothing at all. */
    public static final String NO_PAGE = "default-src 'none'; frame-ancestors 'none'";

    private SafeHeaders() {}

    /**
     * The policy of a page whose own styles carry a nonce.
     *
     * @param pictures from where else pictures may come, such as the tiles of a map; empty text for nowhere
     */
    public static String page(String nonce, String pictures) {
        return "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-" + nonce + "'; font-src 'self'; "
                + "img-src 'self' data:" + (pictures.isEmpty() ? "" : " " + pictures)
                + "; connect-src 'self'; worker-src 'self'; "
                + "manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
    }

    /** Sets the headers with a policy. */
    public static void set(HttpServletResponse response, String policy) {
        set(response::setHeader, policy);
    }

    /** Those of a part of a page, to which the policy of the page applies: a first view has some fifty of them. */
    public static void setOfPart(HttpServletResponse response) {
        response.setHeader("Content-Security-Policy", NO_PAGE);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    }

    static void set(BiConsumer<String, String> headers, String policy) {
        headers.accept("Content-Security-Policy", policy);
        headers.accept("X-Content-Type-Options", "nosniff");
        headers.accept("Referrer-Policy", "no-referrer");
        headers.accept("X-Frame-Options", "DENY");
        headers.accept("Cross-Origin-Opener-Policy", "same-origin");
        headers.accept("Cross-Origin-Resource-Policy", "same-origin");
        headers.accept("Permissions-Policy", "geolocation=(self), camera=(), microphone=(), payment=(), usb=()");
    }
}

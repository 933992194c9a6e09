package syntoma.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What anybody may have who has not logged in: the interface's own files, which hold no data, whether the application is
 * there, and the way in.
 */
final class OwnFiles {
    /** An address that can be read in one way only: nothing in it is written in another form. */
    private static final Pattern PLAIN =
            Pattern.compile("/([A-Za-z0-9_~-][A-Za-z0-9._~-]*(/[A-Za-z0-9_~-][A-Za-z0-9._~-]*)*)?");

    private OwnFiles() {}

    static boolean include(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (path.equals("/api/session") || path.equals("/actuator/health")) {
            return true;
        }
        boolean reading =
                request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
        if (!reading || !PLAIN.matcher(path).matches()) {
            return false;
        }
        String first = path.substring(1).split("/", 2)[0].toLowerCase(Locale.ROOT);
        return !first.equals("api") && !first.equals("actuator") && !first.equals("error");
    }
}

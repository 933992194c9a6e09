package syntoma.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponents;
import org.springframework.web.util.UriComponentsBuilder;
import syntoma.app.platform.InvalidInputException;

/**
 * The one page that a guest may read, and the answers it is made of.
 *
 * @param asks the address in the API that the page asks
 * @param with what it must ask it with
 */
record GuestPage(String asks, Map<String, String> with) {
    /** Reads the address of a verdict, as it stands in the address line. */
    static GuestPage of(String page) {
        try {
            return read(page);
        } catch (IllegalArgumentException unreadable) {
            throw notOne();
        }
    }

    private static GuestPage read(String page) {
        UriComponents read = UriComponentsBuilder.fromUriString(page).build();
        MultiValueMap<String, String> query = UriComponentsBuilder.newInstance()
                .query(read.getQuery())
                .build()
                .getQueryParams();
        if (!"/trials".equals(read.getPath()) || read.getHost() != null) {
            throw notOne();
        }
        String trial = decoded(query, "trial");
        String campsite = decoded(query, "campsite");
        String stay = decoded(query, "stay");
        if (!trial.isEmpty() && !campsite.isEmpty()) {
            return new GuestPage("/api/results/trial", Map.of("trial", trial, "campsite", campsite));
        }
        if (!stay.isEmpty()) {
            return new GuestPage("/api/results/stay", Map.of("stay", stay));
        }
        throw notOne();
    }

    private static String decoded(MultiValueMap<String, String> query, String name) {
        String value = query.getFirst(name);
        return value == null ? "" : java.net.URLDecoder.decode(value, java.nio.charset.StandardCharsets.UTF_8);
    }

    private static InvalidInputException notOne() {
        return new InvalidInputException(
                "page",
                "page is no address of a verdict; allowed is one such as /trials?campsite=…&trial=… or /trials?stay=…");
    }

    boolean allows(HttpServletRequest request) {
        return request.getMethod().equals("GET")
                && request.getRequestURI().equals(asks)
                && with.entrySet().stream().allMatch(needed -> isAsked(request, needed));
    }

    private static boolean isAsked(HttpServletRequest request, Map.Entry<String, String> needed) {
        String[] values = request.getParameterValues(needed.getKey());
        return values != null && values.length == 1 && values[0].equals(needed.getValue());
    }
}

package syntoma.app.findings;

import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/**
 * What is asked of the trip, as the address says it.
 *
 * @param metric the metric; {@code need} for the share of runs that meet what is needed; the one that the needs ask for first where it
 *     is missing
 * @param baseline what all are compared with; what has the most runs where it is missing
 * @param of what is compared
 * @param when {@code night}, {@code day} or {@code evening}
 * @param area {@code south,west,north,east} in degrees
 */
record FindingsRequest(
        @Nullable String metric,
        @Nullable String baseline,
        @Nullable @Parameter(description = "setups, carriers or bands") String of,
        @Nullable List<String> stay,
        @Nullable List<String> campsite,
        @Nullable List<String> setup,
        @Nullable List<String> carrier,
        @Nullable List<String> band,
        @Nullable List<String> when,
        @Nullable String from,
        @Nullable String to,
        @Nullable String area) {

    FindingsFilter filter() {
        return new FindingsFilter(
                list(stay).stream().map(FindingsRequest::stay).toList(),
                list(campsite),
                list(setup),
                list(carrier),
                list(band),
                FindingsFilter.parts(list(when)),
                FindingsFilter.day("from", from),
                FindingsFilter.day("to", to),
                Optional.ofNullable(area).filter(a -> !a.isBlank()).map(FindingsFilter.Area::of));
    }

    private static long stay(String number) {
        try {
            return Long.parseLong(number.strip());
        } catch (NumberFormatException unread) {
            throw new InvalidInputException(
                    "stay", "stay is " + Text.quote(number) + "; allowed is the number of a stay");
        }
    }

    private static List<String> list(@Nullable List<String> list) {
        return list == null
                ? List.of()
                : list.stream().filter(one -> one != null && !one.isBlank()).toList();
    }
}

package syntoma.core.band;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import syntoma.core.unit.Values;

/**
 * Whether a carrier's band gets through a chain, decided link by link and for each direction apart. A link passes a
 * direction when at least 90 % of that direction's span lies inside its stated range. Antennas stand side by side: the band
 * goes over the best of them.
 *
 * @param links every link's share, from the device outward
 * @param limitedBy the first link that stops a direction, or whose sheet does not say
 */
public record Coverage(Band band, List<LinkShare> links, Result result, Optional<String> limitedBy, String sentence) {
    /** The least share of a direction's span that counts as passing. */
    public static final double ENOUGH = 0.9;

    /** What gets through. */
    public enum Result {
        WORKS("works"),
        DOWNLINK_ONLY("downlink only"),
        UPLINK_ONLY("uplink only"),
        NOT_COVERED("not covered"),
        UNKNOWN("unknown");

        private final String label;

        Result(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private static final List<Result> BEST_FIRST =
            List.of(Result.WORKS, Result.UNKNOWN, Result.DOWNLINK_ONLY, Result.UPLINK_ONLY, Result.NOT_COVERED);

    private enum Way {
        OPEN,
        CLOSED,
        UNKNOWN
    }

    /** Decides one band over the links of a chain. */
    public static Coverage of(Band band, List<LinkShare> links) {
        Way down = way(links, LinkShare::downlink);
        // a band without an uplink has none to miss
        Way up = band.isDownlinkOnly() ? down : way(links, LinkShare::uplink);
        Result result;
        if (down == Way.CLOSED && up == Way.CLOSED) {
            result = Result.NOT_COVERED;
        } else if (down == Way.UNKNOWN || up == Way.UNKNOWN) {
            result = Result.UNKNOWN;
        } else if (down == Way.OPEN) {
            result = up == Way.OPEN ? Result.WORKS : Result.DOWNLINK_ONLY;
        } else {
            result = Result.UPLINK_ONLY;
        }
        Optional<LinkShare> limit = links.stream()
                .filter(l -> result == Result.UNKNOWN
                        ? l.downlink().isEmpty() || l.uplink().isEmpty()
                        : closes(l.downlink()) || closes(l.uplink()))
                .findFirst();
        return new Coverage(band, links, result, limit.map(LinkShare::link), sentence(band, result, limit));
    }

    /**
     * Decides one band where some links stand side by side: it goes over the one that lets most through, the first of those
     * that let through as much.
     *
     * @param before links on the side of the device
     * @param beside links of which one is enough; none when there are no such links
     * @param after links beyond
     */
    public static Coverage of(Band band, List<LinkShare> before, List<LinkShare> beside, List<LinkShare> after) {
        List<LinkShare> all = new ArrayList<>(before);
        all.addAll(beside);
        all.addAll(after);
        if (beside.size() < 2) {
            return of(band, all);
        }
        Coverage best = beside.stream()
                .map(one -> {
                    List<LinkShare> line = new ArrayList<>(before);
                    line.add(one);
                    line.addAll(after);
                    return of(band, line);
                })
                .min(Comparator.comparing(c -> BEST_FIRST.indexOf(c.result)))
                .orElseThrow();
        return new Coverage(band, all, best.result, best.limitedBy, best.sentence);
    }

    /** Of what the carrier has nothing that works both ways, a band without an uplink carries nothing. */
    Coverage besideOthers(boolean othersOpen) {
        return othersOpen
                ? new Coverage(
                        band,
                        links,
                        Result.UNKNOWN,
                        limitedBy,
                        "unknown: it has no uplink, and no other band is known to work both ways")
                : new Coverage(
                        band,
                        links,
                        Result.NOT_COVERED,
                        limitedBy,
                        "carries nothing: it has no uplink, and no other band works both ways");
    }

    private static Way way(List<LinkShare> links, Function<LinkShare, OptionalDouble> share) {
        Way way = Way.OPEN;
        for (LinkShare link : links) {
            OptionalDouble passed = share.apply(link);
            if (closes(passed)) {
                return Way.CLOSED;
            }
            way = passed.isEmpty() ? Way.UNKNOWN : way;
        }
        return way;
    }

    static boolean closes(OptionalDouble share) {
        return share.isPresent() && share.getAsDouble() < ENOUGH;
    }

    private static String sentence(Band band, Result result, Optional<LinkShare> limit) {
        if (limit.isEmpty()) {
            return band.uplink().isEmpty() ? "works; the band has no uplink" : "works both ways";
        }
        LinkShare link = limit.get();
        return switch (result) {
            case UNKNOWN ->
                link.reason().isEmpty()
                        ? "unknown: the sheet of " + link.link() + " does not say"
                        : "unknown for " + link.link() + ": " + link.reason();
            case DOWNLINK_ONLY -> "downlink only: " + passes(link.link(), link.uplink(), "uplink");
            case UPLINK_ONLY -> "uplink only: " + passes(link.link(), link.downlink(), "downlink");
            case NOT_COVERED ->
                band.isDownlinkOnly() && link.reason().isEmpty()
                        ? "no downlink on " + band.name() + ": " + passes(link.link(), link.downlink(), "downlink")
                        : notThrough(link);
            default -> notThrough(link);
        };
    }

    private static String notThrough(LinkShare link) {
        return "not through " + link.link() + (link.reason().isEmpty() ? "" : ": " + link.reason());
    }

    private static String passes(String link, OptionalDouble share, String direction) {
        double percent = 100 * share.orElse(0);
        return percent == 0
                ? link + " has no " + direction + " here"
                : link + " passes " + Values.round(percent, 0) + " % of the " + direction;
    }

    /** Whether the band works in both directions. */
    public boolean works() {
        return result == Result.WORKS;
    }

    /** Whether a sheet does not say. */
    public boolean isUnknown() {
        return result == Result.UNKNOWN;
    }
}

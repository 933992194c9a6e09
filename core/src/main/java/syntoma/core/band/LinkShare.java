package syntoma.core.band;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The share of a band's downlink and uplink that one link of a chain passes, 0 to 1; empty when its sheet does not say. A
 * band without an uplink has an uplink share of 1: nothing of it is lost.
 *
 * @param reason the reason where it is another than the range; else empty text
 */
public record LinkShare(String link, OptionalDouble downlink, OptionalDouble uplink, String reason) {

    /** The same share both ways. */
    public static LinkShare both(String link, double share) {
        return new LinkShare(link, OptionalDouble.of(share), OptionalDouble.of(share), "");
    }

    /** Nothing passes, for a reason. */
    public static LinkShare none(String link, String why) {
        return new LinkShare(link, OptionalDouble.of(0), OptionalDouble.of(0), why);
    }

    /** Nothing is stated. */
    public static LinkShare unknown(String link) {
        return unknown(link, "");
    }

    /** Nothing is stated, for a reason that says what to look up. */
    public static LinkShare unknown(String link, String why) {
        return new LinkShare(link, OptionalDouble.empty(), OptionalDouble.empty(), why);
    }

    /** The shares of a band that lie inside spans, each direction in its own; no spans for a direction: not stated. */
    public static LinkShare of(String link, Band band, List<Span> downlink, List<Span> uplink) {
        return new LinkShare(
                link,
                downlink.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(share(band.downlink(), downlink)),
                band.uplink().isEmpty()
                        ? OptionalDouble.of(1)
                        : uplink.isEmpty()
                                ? OptionalDouble.empty()
                                : OptionalDouble.of(share(band.uplink().get(), uplink)),
                "");
    }

    /** Whether enough of both directions passes; empty when the sheet does not say. */
    public Optional<Boolean> passes() {
        if (Coverage.closes(downlink) || Coverage.closes(uplink)) {
            return Optional.of(false);
        }
        return downlink.isEmpty() || uplink.isEmpty() ? Optional.empty() : Optional.of(true);
    }

    private static double share(Span wanted, List<Span> given) {
        double covered = 0;
        double reached = wanted.loMhz();
        List<Span> sorted = given;
        if (given.size() > 1) {
            sorted = new ArrayList<>(given);
            sorted.sort(Comparator.comparingDouble(Span::loMhz));
        }
        for (Span span : sorted) {
            double from = Math.max(reached, span.loMhz());
            double to = Math.min(wanted.hiMhz(), span.hiMhz());
            if (to > from) {
                covered += to - from;
                reached = to;
            }
        }
        return covered / (wanted.hiMhz() - wanted.loMhz());
    }
}

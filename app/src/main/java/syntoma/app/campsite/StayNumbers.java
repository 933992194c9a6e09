package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import syntoma.core.trial.StaySpans;

/**
 * Gives the stays that were derived again the numbers of those they were before. A number is bound to a moment, its anchor: it goes to the
 * span around that, and so never comes to mean another stay, in whatever order measurements arrive. Where two stays have become one, the
 * older number stays, and the other goes on leading there.
 */
final class StayNumbers {
    private final EntityManager entities;
    private final Moments moments;

    StayNumbers(EntityManager entities, Moments moments) {
        this.entities = entities;
        this.moments = moments;
    }

    void give(List<StaySpans.Span> spans, List<Stay> before) {
        List<Stay> left = new ArrayList<>(before);
        Map<StaySpans.Span, Stay> numbered = new HashMap<>();
        for (StaySpans.Span span : spans) {
            take(left, stay -> holds(span, stay)).ifPresent(stay -> numbered.put(span, stay));
        }
        for (StaySpans.Span span : spans) {
            if (!numbered.containsKey(span)) {
                // the measurement at its anchor was taken out or moved: it goes on where it overlaps what is left
                take(left, stay -> overlaps(span, stay) && spans.stream().noneMatch(other -> holds(other, stay)))
                        .ifPresent(stay -> {
                            anchor(stay, span);
                            numbered.put(span, stay);
                        });
            }
        }
        for (StaySpans.Span span : spans) {
            Stay stay = numbered.get(span);
            if (stay == null) {
                entities.persist(new Stay(span.campsite(), local(span, span.from()), local(span, span.to()), false));
            } else {
                setEnds(stay, span);
            }
        }
        for (Stay gone : left) {
            entities.persist(new FormerStay(gone));
            entities.remove(gone);
        }
    }

    /** The one with the lowest number for which something holds; it is not there for others any more. */
    private static Optional<Stay> take(List<Stay> left, Predicate<Stay> fits) {
        Optional<Stay> first = left.stream().filter(fits).min(Comparator.comparing(s -> s.id));
        first.ifPresent(left::remove);
        return first;
    }

    private static boolean holds(StaySpans.Span span, Stay stay) {
        return stay.campsiteId == span.campsite()
                && !stay.anchorAt.toInstant().isBefore(span.from())
                && !stay.anchorAt.toInstant().isAfter(span.to());
    }

    private static boolean overlaps(StaySpans.Span span, Stay stay) {
        return stay.campsiteId == span.campsite()
                && !stay.arrivedAt.toInstant().isAfter(span.to())
                && !stay.leftAt.toInstant().isBefore(span.from());
    }

    /** Binds a stay to another moment; what was written and shown of it follows. */
    private void anchor(Stay stay, StaySpans.Span span) {
        OffsetDateTime at = local(span, span.from());
        for (String kept : List.of("StayNote", "StayPhoto")) {
            entities.createQuery(
                            "update " + kept + " k set k.at = :at where k.campsiteId = :campsite and k.at = :before")
                    .setParameter("at", at)
                    .setParameter("campsite", stay.campsiteId)
                    .setParameter("before", stay.anchorAt)
                    .executeUpdate();
        }
        stay.anchorAt = at;
    }

    private void setEnds(Stay stay, StaySpans.Span span) {
        if (!stay.arrivedAt.toInstant().equals(span.from())) {
            stay.arrivedAt = local(span, span.from());
        }
        if (!stay.leftAt.toInstant().equals(span.to())) {
            stay.leftAt = local(span, span.to());
        }
    }

    private OffsetDateTime local(StaySpans.Span span, Instant at) {
        return moments.local(span.campsite(), at);
    }
}

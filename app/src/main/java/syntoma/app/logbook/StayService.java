package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.trial.StaySpans;

/** Stays: those a person stated, and those derived from the times of the measurements in between. */
@Service
@Transactional
class StayService {
    private final EntityManager entities;

    StayService(EntityManager entities) {
        this.entities = entities;
    }

    /** All stays in the order of their arrival. */
    List<Stay> all() {
        return entities.createQuery("from Stay s order by s.arrivedAt, s.id", Stay.class)
                .getResultList();
    }

    /**
     * Brings the derived stays in line with the measurements. A derived stay that still has a measurement of its own
     * keeps its number.
     */
    void derive() {
        Map<Long, List<Stay>> stated = new HashMap<>();
        Map<Long, List<Stay>> derived = new HashMap<>();
        for (Stay stay : all()) {
            (stay.stated ? stated : derived)
                    .computeIfAbsent(stay.campsiteId, c -> new ArrayList<>())
                    .add(stay);
        }
        StaySpans spans = new StaySpans();
        Map<Long, OffsetDateTime> lastSeen = new HashMap<>();
        entities.createQuery(
                        "select m.campsiteId, m.takenAt from Measurement m order by m.takenAt, m.id", Object[].class)
                .getResultStream()
                .forEach(row -> {
                    Long campsite = (Long) row[0];
                    OffsetDateTime takenAt = (OffsetDateTime) row[1];
                    lastSeen.put(campsite, takenAt);
                    boolean covered =
                            stated.getOrDefault(campsite, List.of()).stream().anyMatch(s -> s.covers(takenAt));
                    if (!covered) {
                        spans.add(campsite, takenAt.toInstant());
                    }
                });
        for (StaySpans.Span span : spans.spans()) {
            var offset = lastSeen.get(span.campsite()).getOffset();
            OffsetDateTime from = span.from().atOffset(offset);
            OffsetDateTime to = span.to().atOffset(offset);
            List<Stay> candidates = derived.getOrDefault(span.campsite(), new ArrayList<>());
            Optional<Stay> same = candidates.stream()
                    .filter(s -> !s.arrivedAt.isAfter(to) && !s.leftAt.isBefore(from))
                    .findFirst();
            if (same.isPresent()) {
                candidates.remove(same.get());
                same.get().arrivedAt = from;
                same.get().leftAt = to;
            } else {
                entities.persist(new Stay(span.campsite(), from, to, false));
            }
        }
        derived.values().forEach(left -> left.forEach(entities::remove));
    }

    /** Begins a stay now and ends the one that was open. */
    Stay arrive(Long campsiteId, OffsetDateTime at) {
        entities.createQuery("from Stay s where s.leftAt is null", Stay.class)
                .getResultList()
                .forEach(open -> open.leftAt = at);
        Stay stay = new Stay(campsiteId, at, null, true);
        entities.persist(stay);
        entities.flush();
        derive();
        return stay;
    }
}

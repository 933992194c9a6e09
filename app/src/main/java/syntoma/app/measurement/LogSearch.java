package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;

/** Finds measurements by what was written of them: notes, bands and cells. */
@Component
public class LogSearch {
    /** Of so many, the latest, the stays are told; who looks for a word that is in more of them looks for another. */
    private static final int LOOKED_AT = 2_000;

    private static final int LONGEST_EXAMPLE = 80;

    /** The notes of so many of the latest measurements are looked through, a part after the other; of a log that has more the rest is not. */
    private static final int[] LATEST = {50_000, 120_000, 250_000};

    /** Once that long was looked, no further part is. */
    private static final Duration LONG = Duration.ofMillis(400);

    private static final OffsetDateTime BEFORE_ALL = OffsetDateTime.parse("1900-01-01T00:00:00Z");
    private static final OffsetDateTime AFTER_ALL = OffsetDateTime.parse("2200-01-01T00:00:00Z");

    private final EntityManager entities;
    private final Visits visits;

    LogSearch(EntityManager entities, Visits visits) {
        this.entities = entities;
        this.visits = visits;
    }

    /** How many were found at a stay, and what one of them says. */
    public record LogHits(int count, String example) {}

    /**
     * What was found.
     *
     * @param byStay by the number of the stay
     * @param searchedSince what was measured before that was not looked through; empty where all was
     */
    public record Search(Map<Long, LogHits> byStay, Optional<OffsetDateTime> searchedSince) {}

    /**
     * The stays at which something was measured that has a text in it, the latest first.
     *
     * @param wanted in lower case
     * @param most once so many stays are found, nothing earlier is looked through
     */
    @Transactional(readOnly = true)
    public Search byStay(String wanted, int most) {
        List<StayTime> stays = visits.times();
        OffsetDateTime first = stays.stream()
                .map(StayTime::arrivedAt)
                .min(Comparator.naturalOrder())
                .orElse(BEFORE_ALL);
        long began = System.nanoTime();
        Map<Long, LogHits> found = new LinkedHashMap<>();
        OffsetDateTime before = AFTER_ALL;
        for (int latest : LATEST) {
            OffsetDateTime from =
                    visits.spanOfLatest(latest).map(Visits.Span::from).orElse(BEFORE_ALL);
            if (from.isBefore(before)) {
                look(wanted, from, before, stays, found);
                before = from;
            }
            if (found.size() >= most || System.nanoTime() - began > LONG.toNanos()) {
                break;
            }
        }
        return new Search(found, before.isAfter(first) ? Optional.of(before) : Optional.empty());
    }

    private void look(
            String wanted, OffsetDateTime from, OffsetDateTime before, List<StayTime> stays, Map<Long, LogHits> found) {
        String like = "%" + wanted.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%";
        entities.createQuery(
                        "select m.campsiteId, m.takenAt, m.note, m.band, m.cellId from Measurement m"
                                + " where m.takenAt >= :from and m.takenAt < :before and (lower(m.note) like :like escape '!'"
                                + " or lower(m.band) = :wanted or m.cellId = :cell)"
                                + " order by m.takenAt desc, m.id desc",
                        Object[].class)
                .setParameter("from", from)
                .setParameter("before", before)
                .setParameter("like", like)
                .setParameter("wanted", wanted)
                .setParameter("cell", wanted.toUpperCase(Locale.ROOT))
                .setMaxResults(LOOKED_AT)
                .getResultStream()
                .forEach(row -> stays.stream()
                        .filter(s -> s.campsiteId() == (Long) row[0] && s.covers((OffsetDateTime) row[1]))
                        .findFirst()
                        .ifPresent(s -> found.merge(
                                s.id(),
                                new LogHits(1, example(row, wanted)),
                                (a, b) -> new LogHits(a.count + 1, a.example))));
    }

    private static String example(Object[] row, String wanted) {
        for (int i = 2; i < row.length; i++) {
            String text = row[i] == null ? "" : (String) row[i];
            int at = text.toLowerCase(Locale.ROOT).indexOf(wanted);
            if (at >= 0) {
                int from = Math.max(0, at - LONGEST_EXAMPLE / 4);
                int to = Math.min(text.length(), from + LONGEST_EXAMPLE);
                return (from > 0 ? "…" : "") + text.substring(from, to) + (to < text.length() ? "…" : "");
            }
        }
        return "";
    }
}

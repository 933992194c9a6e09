package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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

    private final EntityManager entities;
    private final Visits visits;

    LogSearch(EntityManager entities, Visits visits) {
        this.entities = entities;
        this.visits = visits;
    }

    /** How many were found at a stay, and what one of them says. */
    public record Found(int count, String example) {}

    /**
     * Those that have a text in them, by the number of their stay.
     *
     * @param wanted in lower case
     */
    @Transactional(readOnly = true)
    public Map<Long, Found> byStay(String wanted) {
        String like = "%" + wanted.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%";
        List<StayTime> stays = visits.times();
        Map<Long, Found> found = new LinkedHashMap<>();
        entities.createQuery(
                        "select m.campsiteId, m.takenAt, m.note, m.band, m.cellId from Measurement m"
                                + " where lower(m.note) like :like escape '!' or lower(m.band) = :wanted"
                                + " or m.cellId = :cell"
                                + " order by m.takenAt desc, m.id desc",
                        Object[].class)
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
                                new Found(1, example(row, wanted)),
                                (a, b) -> new Found(a.count + 1, a.example))));
        return found;
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

package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.hibernate.jpa.HibernateHints;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.need.Carriers;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;

/** The whole log row by row, sorted by time, then setup, then carrier; as much of it in memory as a few rows take. */
@Component
public class LogRows {
    private static final List<Figure> STORED =
            Arrays.stream(Figure.values()).filter(f -> !isOfName(f)).toList();
    private static final String QUERY = "select m.campsiteId, m.setupId, m.carrierId, m.digits, "
            + STORED.stream().map(f -> "m." + f.field()).collect(Collectors.joining(", ")) + " from Measurement m";
    private static final int CAMPSITE = 0;
    private static final int SETUP = 1;
    private static final int CARRIER = 2;
    private static final int DIGITS = 3;
    private static final int FIRST = 4;
    private static final int TIME = FIRST + STORED.indexOf(Figure.TAKEN_AT);
    private static final int AT_ONCE = 1_000;
    /** Rows of one moment that are sorted in memory; where there are more, the store is asked for each setup's. */
    private static final int SORTED_HERE = 10_000;

    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;

    LogRows(EntityManager entities, Campsites campsites, Setups setups, Carriers carriers) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
    }

    private static boolean isOfName(Figure figure) {
        return switch (figure) {
            case CAMPSITE, LAT, LON, SETUP, CARRIER -> true;
            default -> false;
        };
    }

    /** Gives each row as its figures in the order of the catalogue; missing ones are null. */
    @Transactional(readOnly = true)
    public void each(Consumer<Object[]> row) {
        new Reading(row).run();
    }

    /** One reading of the log. */
    private final class Reading {
        private final Map<Long, Place> places = campsites.all().stream().collect(Collectors.toMap(Place::id, p -> p));
        private final Map<Long, String> setupNames = setups.names();
        private final Map<Long, String> carrierNames = carriers.names();
        private final Comparator<Object[]> byName = Comparator.comparing(
                        (Object[] r) -> setupNames.get((Long) r[SETUP]))
                .thenComparing(this::carrier, Comparator.nullsFirst(Comparator.naturalOrder()));
        private final Consumer<Object[]> out;
        private final List<Object[]> ofOneMoment = new ArrayList<>();

        private Reading(Consumer<Object[]> out) {
            this.out = out;
        }

        private String carrier(Object[] row) {
            return row[CARRIER] == null ? null : carrierNames.get((Long) row[CARRIER]);
        }

        void run() {
            Iterator<Object[]> rows = stream(entities.createQuery(QUERY + " order by m.takenAt, m.id", Object[].class));
            OffsetDateTime now = null;
            boolean passing = false;
            while (rows.hasNext()) {
                Object[] row = rows.next();
                OffsetDateTime at = (OffsetDateTime) row[TIME];
                if (now == null || !at.isEqual(now)) {
                    giveSorted();
                    now = at;
                    passing = false;
                }
                if (!passing) {
                    ofOneMoment.add(row);
                    if (ofOneMoment.size() > SORTED_HERE) {
                        ofOneMoment.clear();
                        passing = true;
                        giveByName(at);
                    }
                }
            }
            giveSorted();
        }

        private void giveSorted() {
            if (ofOneMoment.size() > 1) {
                ofOneMoment.sort(byName);
            }
            ofOneMoment.forEach(this::give);
            ofOneMoment.clear();
        }

        /** All rows of one moment, setup by setup and carrier by carrier. */
        private void giveByName(OffsetDateTime at) {
            List<Object[]> pairs = entities.createQuery(
                            "select distinct m.campsiteId * 0, m.setupId, m.carrierId from Measurement m"
                                    + " where m.takenAt = :at",
                            Object[].class)
                    .setParameter("at", at)
                    .getResultList();
            pairs.stream().sorted(byName).forEach(pair -> {
                boolean without = pair[CARRIER] == null;
                TypedQuery<Object[]> query = entities.createQuery(
                                QUERY + " where m.takenAt = :at and m.setupId = :setup and m.carrierId "
                                        + (without ? "is null" : "= :carrier") + " order by m.id",
                                Object[].class)
                        .setParameter("at", at)
                        .setParameter("setup", pair[SETUP]);
                if (!without) {
                    query.setParameter("carrier", pair[CARRIER]);
                }
                stream(query).forEachRemaining(this::give);
            });
        }

        private static Iterator<Object[]> stream(TypedQuery<Object[]> query) {
            return query.setHint(HibernateHints.HINT_FETCH_SIZE, AT_ONCE)
                    .getResultStream()
                    .iterator();
        }

        private void give(Object[] row) {
            Figure[] figures = Figure.values();
            Object[] values = new Object[figures.length];
            Place place = places.get((Long) row[CAMPSITE]);
            String digits = (String) row[DIGITS];
            int stored = FIRST;
            for (int i = 0; i < figures.length; i++) {
                values[i] = switch (figures[i]) {
                    case CAMPSITE -> place.name();
                    case LAT -> place.lat();
                    case LON -> place.lon();
                    case SETUP -> setupNames.get((Long) row[SETUP]);
                    case CARRIER -> carrier(row);
                    default -> {
                        Object value = row[stored++];
                        yield figures[i].isNumber() ? Numbers.text(figures[i], (Double) value, digits) : value;
                    }
                };
            }
            out.accept(values);
        }
    }
}

package syntoma.app.aim;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.aim.Crossing;
import syntoma.core.aim.Spot;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** The masts that are kept. */
@Service
@Transactional
class Masts {
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_CELL = 40;

    /** Half around the globe: bearings that hardly cross leave that much open. */
    private static final double LONGEST_ELLIPSE_M = 20_100_000;

    private final EntityManager entities;

    Masts(EntityManager entities) {
        this.entities = entities;
    }

    /** A mast to be kept. */
    record MastRequest(
            @Nullable String name,
            @Nullable String carrier,
            @Nullable String cellId,
            @Nullable Double lat,
            @Nullable Double lon) {}

    /**
     * An ellipse that holds an estimated mast in 95 % of cases, as far as it is known.
     *
     * @param longDeg where the longer half-axis points
     */
    record Ellipse(@Nullable Double longM, @Nullable Double shortM, @Nullable Double longDeg) {
        /**
         * Refuses what is no ellipse.
         *
         * @throws InvalidInputException where a measure is out of range
         */
        void check() {
            within("long_m", longM, LONGEST_ELLIPSE_M, "m");
            within("short_m", shortM, LONGEST_ELLIPSE_M, "m");
            within("long_deg", longDeg, 360, "degrees");
        }

        private static void within(String field, @Nullable Double value, double most, String unit) {
            if (value != null) {
                InvalidInputException.naming(field, () -> Values.within(field, value, 0, most, unit));
            }
        }
    }

    /** A mast of a list; {@code estimated} is empty for one that is known. */
    record ListedMast(MastRequest mast, Optional<Ellipse> estimated) {}

    /** All of them, the first first. */
    @Transactional(readOnly = true)
    List<Mast> all() {
        return entities.createQuery("from Mast m order by m.id", Mast.class).getResultList();
    }

    /** Keeps a mast that is known. */
    void keep(MastRequest asked) {
        entities.persist(mast(asked));
    }

    /** Keeps where bearings cross as an estimated mast. */
    void keep(Crossing crossing, @Nullable String carrier, @Nullable String cell) {
        Mast mast = new Mast("About here" + (cell == null ? "" : ", cell " + cell), carrier, cell, crossing.at());
        mast.estimate(new Ellipse(crossing.longM(), crossing.shortM(), crossing.longDeg()));
        entities.persist(mast);
    }

    /** Why a mast of a list cannot be kept; empty where it can. */
    static Optional<String> refusal(ListedMast asked) {
        try {
            mast(asked.mast());
            asked.estimated().ifPresent(Ellipse::check);
            return Optional.empty();
        } catch (InvalidInputException refused) {
            return Optional.of(refused.getMessage());
        }
    }

    /** Keeps those of a list that are not there under their name yet; how many were kept. */
    int keepNew(List<ListedMast> list) {
        Set<Object> there = all().stream().map(Masts::key).collect(Collectors.toSet());
        int kept = 0;
        for (ListedMast asked : list) {
            Mast mast = mast(asked.mast());
            if (there.add(key(mast))) {
                asked.estimated().ifPresent(mast::estimate);
                entities.persist(mast);
                kept++;
            }
        }
        return kept;
    }

    private static Object key(Mast mast) {
        return List.of(mast.name, mast.lat, mast.lon);
    }

    private static Mast mast(MastRequest asked) {
        String name = InvalidInputException.naming(
                "name", () -> Text.name("name", asked.name() == null ? "" : asked.name(), LONGEST_NAME));
        if (asked.lat() == null || asked.lon() == null) {
            String field = asked.lat() == null ? "lat" : "lon";
            throw new InvalidInputException(field, field + " is missing; allowed are degrees such as 59.1234");
        }
        Spot at = at(asked.lat(), asked.lon());
        return new Mast(
                name,
                check(asked.carrier(), "carrier", LONGEST_NAME),
                check(asked.cellId(), "cellId", LONGEST_CELL),
                at);
    }

    private static Spot at(double lat, double lon) {
        InvalidInputException.naming("lat", () -> new Spot(lat, 0));
        return InvalidInputException.naming("lon", () -> new Spot(lat, lon));
    }

    @Nullable
    private static String check(@Nullable String text, String field, int longest) {
        return text == null || text.isBlank()
                ? null
                : InvalidInputException.naming(field, () -> Text.name(field, text, longest));
    }

    /** Forgets a mast. */
    void forget(long id) {
        Mast mast = Optional.ofNullable(entities.find(Mast.class, id))
                .orElseThrow(() -> new NotFoundException("no mast has the number " + id));
        entities.remove(mast);
        entities.flush();
    }
}

package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds campsites, setups and carriers by name, and makes those that are not known yet. */
@Component
class Names {
    private final EntityManager entities;
    private final TransactionTemplate apart;

    Names(EntityManager entities, PlatformTransactionManager manager) {
        this.entities = entities;
        this.apart = new TransactionTemplate(manager);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** What becomes of a name that is not known. */
    enum Making {
        /** It is counted, and not stored. */
        NONE,
        /** It is stored with the change at hand. */
        HERE,
        /** It is stored at once, and taken back if the import that needs it is not kept. */
        FOR_IMPORT
    }

    /** A look-up for one transaction. */
    Book open(Making making) {
        return new Book(making);
    }

    /** An import is kept: so are the names that were made for it. To be called in its transaction. */
    void keepMade() {
        entities.createQuery("delete from ImportMade").executeUpdate();
    }

    /** An import is not kept: the names that were made for it go, except for those that are in use by now. */
    void takeBackMade() {
        List<ImportMade> made = apart.execute(status ->
                entities.createQuery("from ImportMade m", ImportMade.class).getResultList());
        for (ImportMade one : made) {
            try {
                apart.executeWithoutResult(status -> remove(one, true));
            } catch (DataIntegrityViolationException inUse) {
                apart.executeWithoutResult(status -> remove(one, false));
            }
        }
    }

    private void remove(ImportMade made, boolean withName) {
        entities.remove(entities.getReference(ImportMade.class, made.key()));
        Object named = withName ? entities.find(Kind.valueOf(made.kind).entity, made.nameId) : null;
        if (named != null) {
            entities.remove(named);
        }
    }

    /** The kinds of names. */
    private enum Kind {
        CAMPSITE(Campsite.class),
        SETUP(Setup.class),
        CARRIER(Carrier.class);

        private final Class<?> entity;

        Kind(Class<?> entity) {
            this.entity = entity;
        }
    }

    /** A thing that has a name and a number. */
    private record Made(Object entity, Supplier<Long> number) {}

    /** The names known in one transaction, and those it made. */
    final class Book {
        private final Making making;
        private final Map<Kind, Map<String, Long>> known = new HashMap<>();
        private final Map<Kind, List<String>> made = new HashMap<>();

        private Book(Making making) {
            this.making = making;
            for (Kind kind : Kind.values()) {
                Map<String, Long> names = new HashMap<>();
                entities.createQuery("select e.name, e.id from " + kind.entity.getSimpleName() + " e", Object[].class)
                        .getResultList()
                        .forEach(row -> names.put((String) row[0], (Long) row[1]));
                known.put(kind, names);
                made.put(kind, new ArrayList<>());
            }
        }

        Long campsite(String name, String lat, String lon) {
            return number(Kind.CAMPSITE, name, () -> {
                Campsite campsite = new Campsite(name);
                campsite.lat = lat.isEmpty() ? null : lat;
                campsite.lon = lon.isEmpty() ? null : lon;
                return new Made(campsite, () -> campsite.id);
            });
        }

        Long setup(String name) {
            return number(Kind.SETUP, name, () -> {
                Setup setup = new Setup(name, count());
                return new Made(setup, () -> setup.id);
            });
        }

        private int count() {
            return entities.createQuery("select count(s) from Setup s", Long.class)
                    .getSingleResult()
                    .intValue();
        }

        /** Null for the empty name. */
        Long carrier(String name) {
            if (name.isEmpty()) {
                return null;
            }
            return number(Kind.CARRIER, name, () -> {
                Carrier carrier = new Carrier(name);
                return new Made(carrier, () -> carrier.id);
            });
        }

        ImportReport.Created created() {
            return new ImportReport.Created(made.get(Kind.CAMPSITE), made.get(Kind.SETUP), made.get(Kind.CARRIER));
        }

        private Long number(Kind kind, String name, Supplier<Made> maker) {
            return known.get(kind).computeIfAbsent(name, n -> switch (making) {
                case NONE -> {
                    made.get(kind).add(n);
                    yield -1L;
                }
                case HERE -> {
                    made.get(kind).add(n);
                    yield stored(maker.get());
                }
                case FOR_IMPORT -> apart.execute(status -> forImport(kind, n, maker));
            });
        }

        private Long stored(Made one) {
            entities.persist(one.entity());
            entities.flush();
            return one.number().get();
        }

        /** Somebody may have made the name since this book was opened. */
        private Long forImport(Kind kind, String name, Supplier<Made> maker) {
            List<Long> there = entities.createQuery(
                            "select e.id from " + kind.entity.getSimpleName() + " e where e.name = :name", Long.class)
                    .setParameter("name", name)
                    .getResultList();
            if (!there.isEmpty()) {
                return there.get(0);
            }
            made.get(kind).add(name);
            Long id = stored(maker.get());
            entities.persist(new ImportMade(kind.name(), id));
            return id;
        }
    }
}

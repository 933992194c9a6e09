package syntoma.app.exchange;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.campsite.Campsites;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Register;
import syntoma.app.setup.Setups;
import syntoma.core.tabletext.Each;
import syntoma.core.unit.CloseNames;

/**
 * The campsites, setups and carriers that an import names. Those that are new are stored at once, where others see them too,
 * and taken back if the import is not kept.
 */
@Component
class ImportNames {
    /** New names that are looked at for being close to others; a file with more is no log of one trip. */
    private static final int MOST_COMPARED = 200;

    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final TransactionTemplate apart;

    ImportNames(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            PlatformTransactionManager manager) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.apart = new TransactionTemplate(manager);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** The kinds of names. */
    private enum Kind {
        CAMPSITE,
        SETUP,
        CARRIER
    }

    private Register<?> register(Kind kind) {
        return switch (kind) {
            case CAMPSITE -> campsites;
            case SETUP -> setups;
            case CARRIER -> carriers;
        };
    }

    /** What all of some names are of, where they are known; empty where one is not, or none are given. */
    Optional<Each> tells(List<String> names) {
        if (names.isEmpty()) {
            return Optional.empty();
        }
        if (names.stream().allMatch(name -> carriers.find(name).isPresent())) {
            return Optional.of(Each.CARRIER);
        }
        return names.stream().allMatch(name -> setups.find(name).isPresent())
                ? Optional.of(Each.SETUP)
                : Optional.empty();
    }

    /** A look-up for one import. @param storing whether names that are new are stored, or only counted */
    Book open(boolean storing) {
        return new Book(storing);
    }

    /** An import is kept: so are the names that were made for it. To be called in its transaction. */
    void keepMade() {
        entities.createQuery("delete from ImportMade").executeUpdate();
    }

    /** An import is undone: the names that were made for it go with {@link #takeBackMade}, where nothing needs them. */
    void unmake(Map<String, List<Long>> numbers) {
        numbers.forEach((kind, ids) -> ids.forEach(id -> entities.persist(new ImportMade(kind, id))));
    }

    /** An import is not kept: the names that were made for it go, except for those that are in use, merged or renamed by now. */
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
        Register<?> register = register(Kind.valueOf(made.kind));
        if (withName && !register.isTiedToOthers(made.nameId)) {
            register.remove(made.nameId);
        }
    }

    /** The names known to one import, and those it made. */
    final class Book {
        private final boolean storing;
        private final Map<Kind, Map<String, Long>> known = new EnumMap<>(Kind.class);
        private final Map<Kind, List<String>> made = new EnumMap<>(Kind.class);

        private Book(boolean storing) {
            this.storing = storing;
            for (Kind kind : Kind.values()) {
                known.put(kind, new HashMap<>(register(kind).numbers()));
                made.put(kind, new ArrayList<>());
            }
        }

        Long campsite(String name, String lat, String lon) {
            return number(Kind.CAMPSITE, name, () -> campsites.number(name, lat, lon));
        }

        Long setup(String name) {
            return number(Kind.SETUP, name, () -> setups.number(name));
        }

        /** Null for the empty name. */
        @Nullable
        Long carrier(String name) {
            return name.isEmpty() ? null : number(Kind.CARRIER, name, () -> carriers.number(name));
        }

        ImportReport.CreatedName createdNames() {
            return new ImportReport.CreatedName(made.get(Kind.CAMPSITE), made.get(Kind.SETUP), made.get(Kind.CARRIER));
        }

        /** The numbers of the names that were made, by their kind. */
        Map<String, List<Long>> madeNumbers() {
            Map<String, List<Long>> numbers = new HashMap<>();
            made.forEach((kind, names) -> numbers.put(
                    kind.name(), names.stream().map(known.get(kind)::get).toList()));
            return numbers;
        }

        /** Names that were made and are close to one that was known, or to one made before them. */
        List<ImportReport.CloseName> close() {
            List<ImportReport.CloseName> close = new ArrayList<>();
            made.forEach((kind, names) -> {
                Set<String> others = new TreeSet<>(known.get(kind).keySet());
                others.removeAll(names);
                for (String name : names.subList(0, Math.min(names.size(), MOST_COMPARED))) {
                    CloseNames.among(others, name)
                            .ifPresent(other -> close.add(
                                    new ImportReport.CloseName(kind.name().toLowerCase(Locale.ROOT), name, other)));
                    others.add(name);
                }
            });
            return close;
        }

        private Long number(Kind kind, String name, Supplier<Long> maker) {
            return known.get(kind).computeIfAbsent(name, n -> {
                if (!storing) {
                    made.get(kind).add(n);
                    return -1L;
                }
                return apart.execute(status -> findOrCreate(kind, n, maker));
            });
        }

        /** Somebody may have made the name since this book was opened. */
        private Long findOrCreate(Kind kind, String name, Supplier<Long> maker) {
            Optional<Long> there = register(kind).find(name);
            if (there.isPresent()) {
                return there.get();
            }
            made.get(kind).add(name);
            Long id = maker.get();
            entities.persist(new ImportMade(kind.name(), id));
            return id;
        }
    }
}

package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Finds campsites, setups and carriers by name, and makes those that are not known yet. */
@Component
class Names {
    private final EntityManager entities;

    Names(EntityManager entities) {
        this.entities = entities;
    }

    /** A look-up for one transaction; with {@code keep} false nothing new is stored. */
    Book open(boolean keep) {
        return new Book(keep);
    }

    /** The names known in one transaction, and those it made. */
    final class Book {
        private final boolean keep;
        private final Map<String, Long> campsites = new HashMap<>();
        private final Map<String, Long> setups = new HashMap<>();
        private final Map<String, Long> carriers = new HashMap<>();
        private final List<String> newCampsites = new ArrayList<>();
        private final List<String> newSetups = new ArrayList<>();
        private final List<String> newCarriers = new ArrayList<>();

        private Book(boolean keep) {
            this.keep = keep;
            load("Campsite", campsites);
            load("Setup", setups);
            load("Carrier", carriers);
        }

        private void load(String entity, Map<String, Long> into) {
            entities.createQuery("select e.name, e.id from " + entity + " e", Object[].class)
                    .getResultList()
                    .forEach(row -> into.put((String) row[0], (Long) row[1]));
        }

        Long campsite(String name, String lat, String lon) {
            return campsites.computeIfAbsent(name, n -> {
                newCampsites.add(n);
                Campsite campsite = new Campsite(n);
                campsite.lat = lat.isEmpty() ? null : lat;
                campsite.lon = lon.isEmpty() ? null : lon;
                stored(campsite);
                return campsite.id == null ? -1L : campsite.id;
            });
        }

        Long setup(String name) {
            return setups.computeIfAbsent(name, n -> {
                newSetups.add(n);
                Setup setup = new Setup(n, setups.size());
                stored(setup);
                return setup.id == null ? -1L : setup.id;
            });
        }

        /** Null for the empty name. */
        Long carrier(String name) {
            if (name.isEmpty()) {
                return null;
            }
            return carriers.computeIfAbsent(name, n -> {
                newCarriers.add(n);
                Carrier carrier = new Carrier(n);
                stored(carrier);
                return carrier.id == null ? -1L : carrier.id;
            });
        }

        ImportReport.Created created() {
            return new ImportReport.Created(newCampsites, newSetups, newCarriers);
        }

        private void stored(Object entity) {
            if (keep) {
                entities.persist(entity);
                entities.flush();
            }
        }
    }
}

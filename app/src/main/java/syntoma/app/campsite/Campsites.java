package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;
import syntoma.core.place.Coordinates;

/** Places to stand. */
@Service
@Transactional
public class Campsites extends Register<Campsite> {
    Campsites(EntityManager entities) {
        super(entities, Campsite.class, "campsite");
    }

    @Override
    protected Campsite unstored(String name) {
        return new Campsite(name, "", "");
    }

    /** The number of a campsite, made with its coordinates in degrees when its name is new; they may be empty. */
    public Long number(String name, String lat, String lon) {
        return find(name).orElseGet(() -> store(new Campsite(name, lat, lon)));
    }

    /** Says where a campsite is and what it is like; what is empty stays as it was. */
    public void describe(long id, Optional<Coordinates> at, List<String> surroundings) {
        Campsite campsite = require(id);
        at.ifPresent(place -> {
            campsite.lat = Coordinates.text(place.lat());
            campsite.lon = Coordinates.text(place.lon());
        });
        if (!surroundings.isEmpty()) {
            campsite.surroundings = String.join(", ", surroundings);
        }
        entities.flush();
    }

    /** All campsites by name. */
    @Transactional(readOnly = true)
    public List<Place> all() {
        return things("e.name").stream().map(Campsite::view).toList();
    }

    /**
     * A campsite by name.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public Place of(String name) {
        return require(name).view();
    }
}

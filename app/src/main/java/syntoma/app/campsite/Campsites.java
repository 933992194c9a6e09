package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.NotFound;
import syntoma.app.platform.Register;

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

    /** All campsites by name. */
    @Transactional(readOnly = true)
    public List<Place> all() {
        return things("e.name").stream().map(Campsite::view).toList();
    }

    /**
     * A campsite by name.
     *
     * @throws NotFound when there is none
     */
    @Transactional(readOnly = true)
    public Place of(String name) {
        return required(name).view();
    }
}

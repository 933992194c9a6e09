package syntoma.app.aim;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.springframework.lang.Nullable;
import syntoma.core.aim.Spot;

/** A mast: known, or found by crossing bearings, then with the ellipse that holds it. */
@Entity
class Mast {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;

    @Nullable
    String carrier;

    @Nullable
    String cellId;

    double lat;
    double lon;
    boolean estimated;

    @Nullable
    Double longMetres;

    @Nullable
    Double shortMetres;

    @Nullable
    Double longDeg;

    protected Mast() {}

    Mast(String name, @Nullable String carrier, @Nullable String cellId, Spot at) {
        this.name = name;
        this.carrier = carrier;
        this.cellId = cellId;
        lat = at.lat();
        lon = at.lon();
    }

    /** Marks it as one that was found by crossing bearings. */
    void estimate(Masts.Ellipse ellipse) {
        estimated = true;
        longMetres = ellipse.longM();
        shortMetres = ellipse.shortM();
        longDeg = ellipse.longDeg();
    }

    Spot spot() {
        return new Spot(lat, lon);
    }
}

package syntoma.app.campsite;

import jakarta.persistence.Entity;
import java.math.BigDecimal;
import org.springframework.lang.Nullable;
import syntoma.app.platform.NamedThing;

/** A place to stand. */
@Entity
class Campsite extends NamedThing {
    /** Degrees north as written; null when not known. */
    String lat;

    /** Degrees east as written; null when not known. */
    String lon;

    /** What it is like, in words with commas between; null when nobody said. */
    String surroundings;

    protected Campsite() {}

    Campsite(String name, String lat, String lon) {
        super(name);
        this.lat = lat.isEmpty() ? null : lat;
        this.lon = lon.isEmpty() ? null : lon;
    }

    Place view() {
        return new Place(id(), name(), decimal(lat), decimal(lon), surroundings);
    }

    @Nullable
    private static BigDecimal decimal(@Nullable String text) {
        return text == null ? null : new BigDecimal(text);
    }
}

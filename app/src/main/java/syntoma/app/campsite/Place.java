package syntoma.app.campsite;

import java.math.BigDecimal;
import org.springframework.lang.Nullable;

/**
 * A campsite, with coordinates in degrees in the digits they were written in.
 *
 * @param surroundings what it is like, in words with commas between
 */
public record Place(
        long id, String name, @Nullable BigDecimal lat, @Nullable BigDecimal lon, @Nullable String surroundings) {}

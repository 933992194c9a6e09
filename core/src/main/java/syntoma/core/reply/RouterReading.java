package syntoma.core.reply;

import java.util.List;
import java.util.Optional;

/**
 * What a router reported at one moment.
 *
 * @param mode LTE, NR-NSA, NR-SA, UMTS, GSM, or none where it says that it is not registered
 * @param carrier the network in use
 * @param cells the serving ones first
 * @param problems what of it could not be believed, each named
 */
public record RouterReading(Optional<String> mode, Optional<String> carrier, List<Cell> cells, List<String> problems) {
    public RouterReading {
        cells = List.copyOf(cells);
        problems = List.copyOf(problems);
    }
}

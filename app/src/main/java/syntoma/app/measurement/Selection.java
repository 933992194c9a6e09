package syntoma.app.measurement;

import java.util.List;
import java.util.Optional;

/**
 * Which measurements: empty parts do not restrict.
 *
 * @param limit so many of the latest; 0 for all
 */
public record Selection(
        Optional<Long> campsite, Optional<Long> stay, Optional<String> trial, List<String> setups, int limit) {
    /** Everything at one campsite. */
    public static Selection at(long campsite) {
        return new Selection(Optional.of(campsite), Optional.empty(), Optional.empty(), List.of(), 0);
    }

    public Selection ofTrial(String name) {
        return new Selection(campsite, stay, Optional.of(name), setups, limit);
    }

    public Selection duringStay(long id) {
        return new Selection(campsite, Optional.of(id), trial, setups, limit);
    }

    boolean isOfAll() {
        return campsite.isEmpty() && stay.isEmpty() && trial.isEmpty() && setups.isEmpty();
    }
}

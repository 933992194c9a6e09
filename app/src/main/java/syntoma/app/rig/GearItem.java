package syntoma.app.rig;

import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;

/**
 * A piece of gear.
 *
 * @param state owned, considered or retired
 * @param price in units of money
 * @param sheet what is known of it, by the fields of its kind's form
 * @param setups the names of the setups that it is in
 * @param version counts its changes
 */
public record GearItem(
        long id,
        String kind,
        String name,
        String state,
        @Nullable Double price,
        Map<String, Object> sheet,
        List<String> setups,
        int version) {

    GearKind is() {
        return GearKind.labelled(kind);
    }
}

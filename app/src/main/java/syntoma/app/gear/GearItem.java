package syntoma.app.gear;

import com.fasterxml.jackson.annotation.JsonIgnore;
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

    public static final String CONSIDERED = "considered";
    private static final String RETIRED = "retired";
    private static final String OWNED = "owned";
    static final List<String> STATES = List.of(OWNED, CONSIDERED, RETIRED);

    public GearKind is() {
        return GearKind.fromLabel(kind);
    }

    @JsonIgnore
    public boolean isOwned() {
        return OWNED.equals(state);
    }

    /** Whether it would have to be bought. */
    @JsonIgnore
    public boolean isToBuy() {
        return state.equals(CONSIDERED);
    }

    /** Whether it is no longer offered. */
    @JsonIgnore
    public boolean isRetired() {
        return state.equals(RETIRED);
    }

    /** The same piece with another sheet. */
    public GearItem with(Map<String, Object> other) {
        return new GearItem(id, kind, name, state, price, other, setups, version);
    }
}

package syntoma.app.trial;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;

/** Which setups are known to hear less than they did; told by the room that looks at the whole trip. */
public interface KnownFaults {
    /**
     * What is known of some setups, in sentences.
     *
     * @param until faults that began later do not count
     */
    List<String> said(Collection<String> setups, OffsetDateTime until);
}

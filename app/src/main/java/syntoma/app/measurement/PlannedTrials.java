package syntoma.app.measurement;

import java.util.Map;
import java.util.Set;

/** Trials that were planned, and may have no measurement yet; answered by who keeps the plans. */
public interface PlannedTrials {
    /** The names of those planned at a campsite. */
    Set<String> at(long campsite);

    /** Plans of one campsite are another's from now on. @param names each with the name it has there */
    void move(long from, long to, Map<String, String> names);
}

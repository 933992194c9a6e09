package syntoma.app.pitch;

import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;

/**
 * What there is to know on arrival.
 *
 * @param lat of the coordinates that were asked about, in degrees; null where none were, or they could not be read
 * @param problem what is wrong with them; null where nothing is
 * @param near campsites nearby, the nearest first
 * @param last what held at the campsite last time; null where one has never been
 * @param surroundings the words there are
 * @param carriers of which a SIM is on board, or on which something was measured
 * @param askMast what to ask about a mast that is up, by what was said last; null where none is
 */
record ArrivalView(
        @Nullable Double lat,
        @Nullable Double lon,
        @Nullable String problem,
        List<NearView> near,
        @Nullable LastView last,
        List<String> surroundings,
        List<String> carriers,
        @Nullable String askMast) {
    /** A campsite and how far it is. */
    record NearView(String campsite, double km) {}

    /**
     * What held there.
     *
     * @param stays how often one has been there
     * @param until the end of the last stay, or its latest measurement
     * @param surroundings as they were noted
     * @param did the median of each setup and carrier there, the best upload first
     */
    record LastView(int stays, OffsetDateTime until, @Nullable String surroundings, List<DidView> did) {}

    /** A setup on a carrier there; medians, null where nothing was measured. */
    record DidView(
            SetupName setup,
            @Nullable String carrier,
            int runs,
            int failed,
            @Nullable Double down,
            @Nullable Double up) {}
}

package syntoma.app.trial;

import java.util.List;
import org.springframework.lang.Nullable;

/**
 * What a trial is to answer, and with what.
 *
 * @param contenders the first is the baseline
 * @param difference the ratio that is worth knowing
 * @param kind of the runs: full, light or latency; light where it is missing
 * @param minutes that there are; null for as many as it takes
 * @param gb that may be used; null for as much as it takes
 * @param saving time or data; time where it is missing
 * @param order turning or drawn; turning where it is missing
 * @param seed from which the order is drawn; one is chosen where it is missing
 */
record DesignRequest(
        @Nullable List<ContenderRequest> contenders,
        @Nullable Double difference,
        @Nullable String kind,
        @Nullable Double minutes,
        @Nullable Double gb,
        @Nullable String saving,
        @Nullable String order,
        @Nullable Integer seed) {

    /**
     * A setup on a carrier.
     *
     * @param carrier the one of the standing line where it is missing
     */
    record ContenderRequest(@Nullable String setup, @Nullable String carrier) {}
}

package syntoma.app.trial;

import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.design.Template;
import syntoma.core.design.Variation;

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
 * @param spread times of day such as 08:00 over which the rounds are shared out; made at once where there are none
 */
record DesignRequest(
        @Nullable List<ContenderRequest> contenders,
        @Nullable Double difference,
        @Nullable String kind,
        @Nullable Double minutes,
        @Nullable Double gb,
        @Nullable String saving,
        @Nullable String order,
        @Nullable Integer seed,
        @Nullable List<String> spread) {

    /**
     * A setup on a carrier.
     *
     * @param carrier the one of the standing line where it is missing
     * @param change what is different about the setup while it is tried; nothing where it is missing
     */
    record ContenderRequest(@Nullable String setup, @Nullable String carrier, @Nullable ChangeRequest change) {
        static ContenderRequest of(Template.Choice choice) {
            return new ContenderRequest(
                    choice.setup(),
                    choice.carrier().isEmpty() ? null : choice.carrier(),
                    choice.variation().map(ChangeRequest::of).orElse(null));
        }
    }

    /**
     * One thing changed about a setup.
     *
     * @param kind bands, booster, antennas, place, height, spacing or plate
     * @param value as the kind allows
     */
    record ChangeRequest(@Nullable String kind, @Nullable String value) {
        private static ChangeRequest of(Variation variation) {
            return new ChangeRequest(variation.kind().label(), variation.value());
        }
    }
}

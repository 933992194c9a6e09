package syntoma.app.walk;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInput;
import syntoma.core.reading.Figure;
import syntoma.core.reading.RadioMetric;

/** What a walk can be judged by. */
enum WalkMetric {
    RSRP(Figure.RSRP_DBM, RadioMetric.RSRP),
    SINR(Figure.SINR_DB, RadioMetric.SINR);

    private final Figure figure;
    private final RadioMetric radio;

    WalkMetric(Figure figure, RadioMetric radio) {
        this.figure = figure;
        this.radio = radio;
    }

    Figure figure() {
        return figure;
    }

    RadioMetric radio() {
        return radio;
    }

    /** The name in the API. */
    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What a mark has of it; null where it has none. */
    @Nullable
    Double of(Marked mark) {
        return this == RSRP ? mark.rsrpDbm : mark.sinrDb;
    }

    static WalkMetric named(String key) {
        return Arrays.stream(values())
                .filter(m -> m.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new InvalidInput(
                        "metric",
                        "metric is “" + key + "”; allowed are "
                                + Arrays.stream(values()).map(WalkMetric::key).collect(Collectors.joining(", "))));
    }
}

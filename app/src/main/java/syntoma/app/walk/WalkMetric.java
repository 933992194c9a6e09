package syntoma.app.walk;

import java.util.Locale;
import org.springframework.lang.Nullable;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.reading.Figure;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Labels;

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
    Double of(StoredMark mark) {
        return this == RSRP ? mark.rsrpDbm : mark.sinrDb;
    }

    static WalkMetric ofKey(String key) {
        return InvalidInputException.naming("metric", () -> Labels.find("metric", key, values(), WalkMetric::key));
    }
}

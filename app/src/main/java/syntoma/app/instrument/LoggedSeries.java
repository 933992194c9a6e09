package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Json;

/** The samples of runs that stand in the log. */
@Service
@Transactional(readOnly = true)
public class LoggedSeries {
    private final EntityManager entities;
    private final Json json;

    LoggedSeries(EntityManager entities, Json json) {
        this.entities = entities;
        this.json = json;
    }

    /** A sample: how fast it went at a moment of the run, in a direction. */
    public record Rate(double atMs, String phase, double mbps) {}

    /** By the numbers of their measurements; those that were not made by Syntoma have none. */
    public Map<Long, List<Rate>> of(Collection<Long> measurements) {
        Map<Long, List<Rate>> series = new HashMap<>();
        if (!measurements.isEmpty()) {
            entities.createQuery(
                            "select r.measurementId, r.series from SpeedRun r where r.series is not null and r.measurementId in :ids",
                            Object[].class)
                    .setParameter("ids", measurements)
                    .getResultList()
                    .forEach(row -> series.put((Long) row[0], rates((String) row[1])));
        }
        return series;
    }

    private List<Rate> rates(String series) {
        return Arrays.stream(json.read(series, Taken.Point[].class))
                .filter(point -> point.mbps() != null)
                .map(point -> new Rate(point.atMs(), point.phase(), point.mbps()))
                .toList();
    }
}

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

/** What is known of runs that stand in the log beside their figures: their samples, and what speaks against them. */
@Service
@Transactional(readOnly = true)
public class LoggedRuns {
    private final EntityManager entities;
    private final Json json;

    LoggedRuns(EntityManager entities, Json json) {
        this.entities = entities;
        this.json = json;
    }

    /** A sample: how fast it went at a moment of the run, in a direction. */
    public record Rate(double atMs, String phase, double mbps) {}

    /** By the numbers of their measurements; those that were not made by Syntoma have none. */
    public Map<Long, List<Rate>> rates(Collection<Long> measurements) {
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

    /**
     * Why a run says nothing about what was measured, or not about it alone.
     *
     * @param says in a sentence
     */
    public record Against(long measurement, String says) {}

    /** Changes whenever a run of a trial begins or is over. */
    public String mark(String campsite, String trial) {
        return entities.createQuery(
                        "select concat(cast(r.id as string), r.state) from SpeedRun r"
                                + " where r.campsite = :campsite and r.trial = :trial order by r.id desc",
                        String.class)
                .setParameter("campsite", campsite)
                .setParameter("trial", trial)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse("");
    }

    /** What speaks against runs, by the numbers of their measurements. */
    public List<Against> against(Collection<Long> measurements) {
        return measurements.isEmpty()
                ? List.of()
                : entities
                        .createQuery(
                                "from SpeedRun r where (r.otherCarrier is not null or r.endedBecause = :broken) and r.measurementId in :ids order by r.id",
                                SpeedRun.class)
                        .setParameter("broken", RunBook.BROKEN)
                        .setParameter("ids", measurements)
                        .getResultList()
                        .stream()
                        .map(run -> new Against(run.measurementId, against(run)))
                        .toList();
    }

    private static String against(SpeedRun run) {
        return run.otherCarrier == null
                ? RunBook.BROKEN + "; that it failed says nothing about " + run.setup + "."
                : "The device was on " + run.otherCarrier + " while it was measured; it was to be on " + run.carrier
                        + ".";
    }

    private List<Rate> rates(String series) {
        return Arrays.stream(json.read(series, Taken.Point[].class))
                .filter(point -> point.mbps() != null)
                .map(point -> new Rate(point.atMs(), point.phase(), point.mbps()))
                .toList();
    }
}

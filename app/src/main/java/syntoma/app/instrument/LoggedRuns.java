package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Json;
import syntoma.core.run.Direction;
import syntoma.core.run.Leg;

/** What is known of logged runs beside their figures: their samples, whether they were flat, their Wi-Fi, what speaks against them. */
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

    /** The measurements that come from a run that was flat in a direction, by number. */
    public Set<Long> flat(Direction direction) {
        String flat = direction == Direction.DOWN ? "r.flatDown" : "r.flatUp";
        return Set.copyOf(entities.createQuery(
                        "select r.measurementId from SpeedRun r where r.measurementId is not null and " + flat
                                + " = true",
                        Long.class)
                .getResultList());
    }

    /** The Wi-Fi between browser and Syntoma of runs that a browser made over it, by the number of the measurement. */
    public Map<Long, Leg> legs() {
        return entities.createQuery(
                        "from SpeedRun r where r.measurementId is not null and r.ownSim = false"
                                + " and r.legDownMbps is not null and r.legUpMbps is not null",
                        SpeedRun.class)
                .getResultStream()
                .collect(Collectors.toMap(r -> r.measurementId, r -> r.leg().orElseThrow(), (earlier, later) -> later));
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
        return Arrays.stream(json.read(series, RunSamples.Point[].class))
                .filter(point -> point.mbps() != null)
                .map(point -> new Rate(point.atMs(), point.phase(), point.mbps()))
                .toList();
    }
}

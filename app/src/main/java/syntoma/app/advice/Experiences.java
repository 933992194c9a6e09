package syntoma.app.advice;

import java.lang.ref.SoftReference;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.PhoneLevels;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.Measurements;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Optionals;
import syntoma.app.setup.Setups;
import syntoma.app.store.Revision;
import syntoma.core.advice.DayPart;
import syntoma.core.advice.Experience;
import syntoma.core.advice.Option;
import syntoma.core.advice.PastMeasurement;
import syntoma.core.trial.Outcome;

/** What the log tells, kept until it changes. */
@Component
class Experiences {
    /** The latest tell; more than some seasons would take more memory than they are worth. */
    private static final int MOST = 60_000;

    private final Measurements measurements;
    private final Visits visits;
    private final Setups setups;
    private final Carriers carriers;
    private final PhoneLevels phones;
    private final Revision revision;

    /** Given back before memory runs out: they can be read and learned again. */
    private SoftReference<Log> latest = new SoftReference<>(null);

    private SoftReference<CachedExperience> learned = new SoftReference<>(null);

    Experiences(
            Measurements measurements,
            Visits visits,
            Setups setups,
            Carriers carriers,
            PhoneLevels phones,
            Revision revision) {
        this.measurements = measurements;
        this.visits = visits;
        this.setups = setups;
        this.carriers = carriers;
        this.phones = phones;
        this.revision = revision;
    }

    /** What was read of which state of the store. */
    private record Log(long revision, List<PastMeasurement> measurements, Map<String, Set<String>> carriers) {}

    /** What was learned from a log for which options. */
    private record CachedExperience(Log of, List<Option> options, Experience experience) {}

    /** What the log of now tells about options. */
    synchronized Experience of(List<Option> options) {
        Log now = currentLog();
        CachedExperience kept = learned.get();
        if (kept == null || kept.of != now || !kept.options.equals(options)) {
            Optional<Experience.Scatter> before = Optional.ofNullable(kept).map(k -> k.experience.scatter());
            kept = new CachedExperience(now, options, Experience.of(now.measurements, options, before));
            learned = new SoftReference<>(kept);
        }
        return kept.experience;
    }

    /** On which carriers each setup was measured, by their names. */
    synchronized Map<String, Set<String>> measuredOn() {
        return currentLog().carriers;
    }

    private Log currentLog() {
        long number = revision.number();
        Log log = latest.get();
        if (log == null || log.revision != number) {
            List<PastMeasurement> past = pastMeasurements();
            Map<String, Set<String>> measured = new HashMap<>();
            past.stream().filter(PastMeasurement::isRun).forEach(p -> measured.computeIfAbsent(
                            p.setup(), s -> new TreeSet<>())
                    .add(p.carrier()));
            log = new Log(number, past, measured);
            latest = new SoftReference<>(log);
        }
        return log;
    }

    private List<PastMeasurement> pastMeasurements() {
        Map<Long, String> setupNames = setups.names();
        Map<Long, String> carrierNames = carriers.names();
        Map<Long, List<StayTime>> stays = new HashMap<>();
        visits.times().forEach(s -> stays.computeIfAbsent(s.campsiteId(), c -> new ArrayList<>())
                .add(s));
        List<PastMeasurement> past = new ArrayList<>();
        for (Measurements.BareMeasurement m : measurements.bare(MOST)) {
            if (m.carrier() == null) {
                continue;
            }
            long stay = stays.getOrDefault(m.campsite(), List.of()).stream()
                    .filter(s -> s.covers(m.takenAt()))
                    .mapToLong(StayTime::id)
                    .findFirst()
                    .orElse(-m.campsite());
            past.add(pastMeasurements(m, setupNames.get(m.setup()), carrierNames.get(m.carrier()), stay));
        }
        phones.all()
                .forEach(p -> past.add(PastMeasurement.phone(
                        p.inside(),
                        carrierNames.get(p.carrierId()),
                        p.campsiteId(),
                        p.stayId(),
                        p.notedAt().toEpochSecond(),
                        DayPart.of(p.notedAt().getHour()),
                        p.levelDbm() == null ? PastMeasurement.NO_SERVICE_DBM : p.levelDbm())));
        return past;
    }

    /** A measurement as advice looks at it. */
    static PastMeasurement pastMeasurements(Measurements.BareMeasurement m, String setup, String carrier, long stay) {
        return new PastMeasurement(
                setup,
                carrier,
                m.campsite(),
                stay,
                m.takenAt().toEpochSecond(),
                DayPart.of(m.takenAt().getHour()),
                m.outcome().equals(Outcome.OK.label()),
                m.outcome().equals(Outcome.NO_SERVICE.label()),
                Optionals.optional(m.rsrpDbm()),
                Optionals.optional(m.sinrDb()),
                Optionals.optional(m.downMbps()),
                Optionals.optional(m.upMbps()),
                worse(m.downLoadedMs(), m.upLoadedMs()),
                Optionals.optional(m.lossPct()));
    }

    private static OptionalDouble worse(@Nullable Double one, @Nullable Double other) {
        return one == null
                ? Optionals.optional(other)
                : other == null ? Optionals.optional(one) : OptionalDouble.of(Math.max(one, other));
    }
}

package syntoma.app.advice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.PhoneLevels;
import syntoma.app.campsite.StayTime;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.Measurements;
import syntoma.app.need.Carriers;
import syntoma.app.setup.Setups;
import syntoma.app.store.Revision;
import syntoma.core.advice.DayPart;
import syntoma.core.advice.Experience;
import syntoma.core.advice.Option;
import syntoma.core.advice.Past;
import syntoma.core.trial.Outcome;

/** What the log tells, kept until it changes. */
@Component
class Experiences {
    private final Measurements measurements;
    private final Visits visits;
    private final Setups setups;
    private final Carriers carriers;
    private final PhoneLevels phones;
    private final Revision revision;

    @Nullable
    private Kept kept;

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

    /** What was learned of which state of the store. */
    private record Kept(long revision, List<Option> options, Experience experience) {
        private boolean isOf(long number, List<Option> asked) {
            return revision == number && options.equals(asked);
        }
    }

    /** What the log of now tells about options. */
    synchronized Experience of(List<Option> options) {
        long number = revision.number();
        if (kept == null || !kept.isOf(number, options)) {
            Optional<Experience.Scatter> before = Optional.ofNullable(kept).map(k -> k.experience.scatter());
            kept = new Kept(number, options, Experience.of(past(), options, before));
        }
        return kept.experience;
    }

    private List<Past> past() {
        Map<Long, String> setupNames = setups.names();
        Map<Long, String> carrierNames = carriers.names();
        Map<Long, List<StayTime>> stays = new HashMap<>();
        visits.times().forEach(s -> stays.computeIfAbsent(s.campsiteId(), c -> new ArrayList<>())
                .add(s));
        List<Past> past = new ArrayList<>();
        for (Measurements.Bare m : measurements.bare()) {
            if (m.carrier() == null) {
                continue;
            }
            long stay = stays.getOrDefault(m.campsite(), List.of()).stream()
                    .filter(s -> s.covers(m.takenAt()))
                    .mapToLong(StayTime::id)
                    .findFirst()
                    .orElse(-m.campsite());
            past.add(new Past(
                    setupNames.get(m.setup()),
                    carrierNames.get(m.carrier()),
                    m.campsite(),
                    stay,
                    m.takenAt().toEpochSecond(),
                    DayPart.of(m.takenAt().getHour()),
                    m.outcome().equals(Outcome.OK.label()),
                    of(m.rsrpDbm()),
                    of(m.sinrDb()),
                    of(m.downMbps()),
                    of(m.upMbps()),
                    worse(m.downLoadedMs(), m.upLoadedMs()),
                    of(m.lossPct())));
        }
        phones.all()
                .forEach(p -> past.add(Past.phone(
                        p.inside(),
                        carrierNames.get(p.carrierId()),
                        p.campsiteId(),
                        p.stayId(),
                        p.notedAt().toEpochSecond(),
                        DayPart.of(p.notedAt().getHour()),
                        p.levelDbm() == null ? Past.NO_SERVICE_DBM : p.levelDbm())));
        return past;
    }

    private static OptionalDouble of(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static OptionalDouble worse(@Nullable Double one, @Nullable Double other) {
        return one == null ? of(other) : other == null ? of(one) : OptionalDouble.of(Math.max(one, other));
    }
}

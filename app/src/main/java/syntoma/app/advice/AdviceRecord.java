package syntoma.app.advice;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.measurement.Measurements;
import syntoma.app.need.Carriers;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Optionals;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;
import syntoma.core.advice.AdvisedOption;
import syntoma.core.advice.Outlook;
import syntoma.core.advice.PastMeasurement;
import syntoma.core.advice.TrackRecord;
import syntoma.core.unit.Median;

/** The advice that was followed, and what came of it: measured within a day, or said by a person. */
@Service
@Transactional
class AdviceRecord {
    /** What is measured within so long after advice was followed is its outcome. */
    private static final Duration LASTS = Duration.ofHours(24);

    /** So soon after it nobody can say yet whether it did. */
    private static final Duration TOO_SOON = Duration.ofHours(2);

    /** After that nobody remembers. */
    private static final Duration FORGOTTEN = Duration.ofDays(4);

    private static final int MOST = 200;

    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final Measurements measurements;
    private final Clock clock;

    AdviceRecord(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            Measurements measurements,
            Clock clock) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.measurements = measurements;
        this.clock = clock;
    }

    /** Keeps what is followed. */
    void keep(String campsite, SetupName setup, AdvisedOption advised, String needs, OffsetDateTime at) {
        Outlook.RunRequirement asked = advised.hours().requirement();
        FollowedAdvice kept = new FollowedAdvice(
                at,
                campsites.of(campsite).id(),
                setup.id(),
                carriers.number(advised.option().carrier()));
        kept.needs = needs;
        kept.part = advised.hours().isNow() ? null : advised.hours().part();
        kept.askedDownMbps = Optionals.boxed(asked.downMbps());
        kept.askedUpMbps = Optionals.boxed(asked.upMbps());
        kept.askedLoadedMs = Optionals.boxed(asked.loadedMs());
        kept.askedLossPct = Optionals.boxed(asked.lossPct());
        kept.chance = advised.chance();
        kept.downMbps = advised.outlook().down().middle();
        kept.upMbps = advised.outlook().up().middle();
        entities.persist(kept);
    }

    /**
     * Says whether advice did.
     *
     * @throws NotFoundException when there is no such advice
     */
    void answer(long id, @Nullable Boolean met) {
        if (met == null) {
            throw new InvalidInputException("met", "met is missing; allowed is true or false");
        }
        FollowedAdvice kept = entities.find(FollowedAdvice.class, id);
        if (kept == null) {
            throw new NotFoundException("no advice that was followed has the number " + id);
        }
        kept.answered = met;
        entities.flush();
    }

    /** How often it was right, and what there is to ask. */
    @Transactional(readOnly = true)
    RecordSummary summary() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        List<TrackRecord.Outcome> outcomes = new ArrayList<>();
        AdviceView.OutcomeAsked open = null;
        for (FollowedAdvice kept : latest()) {
            Optional<TrackRecord.Outcome> outcome = outcome(kept);
            outcome.ifPresent(outcomes::add);
            Duration age = Duration.between(kept.givenAt, now);
            if (open == null && outcome.isEmpty() && age.compareTo(TOO_SOON) > 0 && age.compareTo(FORGOTTEN) < 0) {
                open = new AdviceView.OutcomeAsked(
                        kept.id,
                        setups.of(kept.setupId).name(),
                        carriers.name(kept.carrierId).orElseThrow(),
                        kept.needs,
                        kept.givenAt);
            }
        }
        return new RecordSummary(TrackRecord.of(outcomes), open);
    }

    /** @param open null where nothing is to be asked */
    record RecordSummary(TrackRecord record, @Nullable AdviceView.OutcomeAsked open) {}

    private List<FollowedAdvice> latest() {
        return entities.createQuery("from FollowedAdvice f order by f.givenAt desc, f.id desc", FollowedAdvice.class)
                .setMaxResults(MOST)
                .getResultList();
    }

    /** What came of it: what was measured counts before what was said. */
    private Optional<TrackRecord.Outcome> outcome(FollowedAdvice kept) {
        String setup = setups.of(kept.setupId).name();
        String carrier = carriers.name(kept.carrierId).orElseThrow();
        Outlook.RunRequirement asked = new Outlook.RunRequirement(
                Optionals.optional(kept.askedDownMbps),
                Optionals.optional(kept.askedUpMbps),
                Optionals.optional(kept.askedLoadedMs),
                Optionals.optional(kept.askedLossPct));
        List<PastMeasurement> made =
                measurements
                        .bare(kept.campsiteId, kept.setupId, kept.carrierId, kept.givenAt, kept.givenAt.plus(LASTS))
                        .stream()
                        .map(m -> Experiences.pastMeasurements(m, setup, carrier, 0))
                        .filter(p -> p.isRun() && (kept.part == null || kept.part == p.part()))
                        .toList();
        if (made.isEmpty()) {
            return Optional.ofNullable(kept.answered)
                    .map(met -> new TrackRecord.Outcome(
                            kept.chance, 1, met ? 1 : 0, OptionalDouble.empty(), OptionalDouble.empty()));
        }
        int met = (int) made.stream().filter(asked::isMetBy).count();
        boolean up = kept.askedUpMbps != null;
        OptionalDouble came = Median.ofAny(made.stream()
                .flatMapToDouble(p -> (up ? p.upMbps() : p.downMbps()).stream())
                .toArray());
        return Optional.of(new TrackRecord.Outcome(
                kept.chance, made.size(), met, OptionalDouble.of(up ? kept.upMbps : kept.downMbps), came));
    }
}

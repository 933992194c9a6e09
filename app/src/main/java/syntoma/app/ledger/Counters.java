package syntoma.app.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.Cards;
import syntoma.app.instrument.CarrierCounters;
import syntoma.app.measurement.MeasurementReader;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Moment;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Values;

/** Readings of carriers' own counters. */
@Service
@Transactional
class Counters implements CarrierCounters {
    /** More than any plan allows in a month. */
    private static final double MOST_GB = 100_000;

    private final EntityManager entities;
    private final Cards cards;
    private final Clock clock;

    Counters(EntityManager entities, Cards cards, Clock clock) {
        this.entities = entities;
        this.cards = cards;
        this.clock = clock;
    }

    /**
     * What the counter says.
     *
     * @param readAt when it was read; now where it is missing
     * @param usedGb since the month of the plan began
     */
    record CounterRequest(@Nullable OffsetDateTime readAt, @Nullable Double usedGb) {}

    /** The readings of a card between two moments, the first first. */
    @Transactional(readOnly = true)
    List<CounterReading> of(long gear, OffsetDateTime from, OffsetDateTime before) {
        return entities.createQuery(
                        "from CounterReading c where c.gearId = :gear and c.removedAt is null and c.readAt >= :from and"
                                + " c.readAt < :before order by c.readAt, c.id",
                        CounterReading.class)
                .setParameter("gear", gear)
                .setParameter("from", from)
                .setParameter("before", before)
                .getResultList();
    }

    /**
     * Keeps a reading.
     *
     * @throws NotFoundException when there is no such card
     */
    void enter(long gear, CounterRequest asked) {
        requirePlan(gear);
        if (asked.usedGb() == null) {
            throw new InvalidInputException("usedGb", "usedGb is missing; allowed are the GB that the counter shows");
        }
        InvalidInputException.naming("usedGb", () -> Values.within("usedGb", asked.usedGb(), 0, MOST_GB, "GB"));
        OffsetDateTime now = OffsetDateTime.now(clock);
        OffsetDateTime at = asked.readAt() == null ? now : asked.readAt();
        if (at.getYear() < MeasurementReader.FIRST_YEAR) {
            throw new InvalidInputException(
                    "readAt",
                    "readAt is in the year " + at.getYear() + "; allowed is " + MeasurementReader.FIRST_YEAR + " on");
        }
        if (at.isAfter(now)) {
            throw new InvalidInputException("readAt", "readAt is " + Moment.text(at) + ", which is still to come");
        }
        entities.persist(new CounterReading(gear, at, asked.usedGb()));
        entities.flush();
    }

    /** Takes a reading away, or brings it back. */
    void remove(long gear, long reading, boolean removed) {
        Optional.ofNullable(entities.find(CounterReading.class, reading))
                        .filter(c -> c.gearId == gear)
                        .orElseThrow(() -> new NotFoundException("no reading of this SIM has the number " + reading))
                        .removedAt =
                removed ? OffsetDateTime.now(clock) : null;
        entities.flush();
    }

    private void requirePlan(long gear) {
        if (cards.plans().stream().noneMatch(p -> p.gear() == gear)) {
            throw new NotFoundException("no SIM has the number " + gear);
        }
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<Counter> last(String carrier, OffsetDateTime since) {
        List<Long> own = cards.plans().stream()
                .filter(p -> p.owned() && p.sim().carrier().equals(carrier))
                .map(Cards.Plan::gear)
                .toList();
        return own.isEmpty()
                ? Optional.empty()
                : entities.createQuery(
                                "from CounterReading c where c.gearId in :own and c.removedAt is null and c.readAt >= :since"
                                        + " order by c.readAt desc, c.id desc",
                                CounterReading.class)
                        .setParameter("own", own)
                        .setParameter("since", since)
                        .setMaxResults(1)
                        .getResultStream()
                        .map(c -> new Counter(c.readAt, c.usedGb))
                        .findFirst();
    }
}

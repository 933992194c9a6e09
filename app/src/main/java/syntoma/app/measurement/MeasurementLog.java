package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.OptionalLong;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Stays;
import syntoma.app.history.Journal;
import syntoma.app.measurement.Deliveries.DeliveryKey;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.NotFoundException;

/** Single measurements: logged, taken out, put back. The same measurement is never in the log twice. */
@Service
@Transactional
class MeasurementLog {
    private final EntityManager entities;
    private final LogNames names;
    private final Stays stays;
    private final KnownTrials trials;
    private final Meanwhile meanwhile;
    private final Journal journal;
    private final Deliveries deliveries;
    private final ApplicationEventPublisher events;

    MeasurementLog(
            EntityManager entities,
            LogNames names,
            Stays stays,
            KnownTrials trials,
            Meanwhile meanwhile,
            Journal journal,
            Deliveries deliveries,
            ApplicationEventPublisher events) {
        this.entities = entities;
        this.names = names;
        this.stays = stays;
        this.trials = trials;
        this.meanwhile = meanwhile;
        this.journal = journal;
        this.deliveries = deliveries;
        this.events = events;
    }

    /**
     * A measurement that was stored.
     *
     * @param beside what others logged for the same setup in the same round of the same trial; all of it is kept
     */
    record StoredEntry(long id, List<SameRoundEntry> beside) {}

    /** Another measurement, and what it is in a few words. */
    record SameRoundEntry(long id, String sentence) {}

    /** What undoing a deletion needs. */
    record Deletion(long measurement) {}

    /**
     * Stores one measurement, under the key that it was sent with once.
     *
     * @throws ConflictException when the same measurement is there already
     */
    public StoredEntry store(NewMeasurement m, @Nullable DeliveryKey sent) {
        OptionalLong before = sent == null ? OptionalLong.empty() : deliveries.storedMeasurement(sent);
        if (before.isPresent()) {
            return storedEntry(before.getAsLong());
        }
        LogNames.Place place = names.place(m);
        Measurement row =
                new Measurement(m, Fingerprint.of(m, names.first()), place.campsite(), place.setup(), place.carrier());
        if (isThere(row.print(), row.takenAt)) {
            throw new ConflictException("takenAt", "this measurement is in the log already");
        }
        keep(row);
        trials.add(row);
        if (sent != null) {
            deliveries.note(sent, row.id);
        }
        events.publishEvent(names.storedEvent(row));
        return storedEntry(row.id);
    }

    /** What was stored under a number, and what else is logged for the same run of a trial. */
    @Transactional(readOnly = true)
    public StoredEntry storedEntry(long id) {
        Measurement row = entities.find(Measurement.class, id);
        if (row == null || row.trial == null || row.round == null) {
            return new StoredEntry(id, List.of());
        }
        List<SameRoundEntry> beside = trials.sameRun(row).stream()
                .map(other -> new SameRoundEntry(other.id, names.describe(other) + ": " + RowTexts.resultText(other)))
                .toList();
        return new StoredEntry(id, beside);
    }

    private void keep(Measurement row) {
        entities.persist(row);
        entities.flush();
        meanwhile.noteLogged(row.print(), row.id, row.takenAt);
        stays.onLogged(row.moment());
    }

    private boolean isThere(Fingerprint print, OffsetDateTime takenAt) {
        Long same = entities.createQuery(
                        "select count(*) from Measurement m where m.takenAt = :at and m.printHigh = :high"
                                + " and m.printLow = :low",
                        Long.class)
                .setParameter("at", takenAt)
                .setParameter("high", print.high())
                .setParameter("low", print.low())
                .getSingleResult();
        return same > 0 || meanwhile.isKept(print);
    }

    /** Whether the same measurement as a row that was changed is in the log under another number. */
    boolean isElsewhere(Measurement row) {
        return entities.createQuery(
                                "select count(*) from Measurement m where m.takenAt = :at and m.printHigh = :high"
                                        + " and m.printLow = :low and m.id <> :id",
                                Long.class)
                        .setParameter("at", row.takenAt)
                        .setParameter("high", row.printHigh)
                        .setParameter("low", row.printLow)
                        .setParameter("id", row.id)
                        .getSingleResult()
                > 0;
    }

    /**
     * Takes a measurement out of the log until it is put back.
     *
     * @return the number of the change in the journal
     * @throws NotFoundException when there is none
     */
    public long delete(long id) {
        Measurement gone = entities.find(Measurement.class, id);
        if (gone == null) {
            throw missing(id);
        }
        entities.persist(new DeletedMeasurement(gone, null));
        entities.remove(gone);
        entities.flush();
        stays.onRemoved(gone.moment());
        return journal.write(Journal.Kind.DELETED, "Deleted " + names.describe(gone), new Deletion(id));
    }

    /**
     * Puts a deleted measurement back; where the same one came into the log meanwhile, that one stands for it.
     *
     * @throws NotFoundException when none with the number was deleted
     */
    public void restore(long id) {
        DeletedMeasurement deleted = entities.find(DeletedMeasurement.class, id);
        if (deleted == null) {
            throw missing(id);
        }
        entities.remove(deleted);
        Measurement row = new Measurement(deleted);
        names.follow(row);
        if (!isThere(row.print(), row.takenAt)) {
            keep(row);
        }
    }

    private static NotFoundException missing(long id) {
        return new NotFoundException("no measurement has the number " + id);
    }
}

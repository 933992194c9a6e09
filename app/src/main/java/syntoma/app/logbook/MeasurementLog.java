package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import org.hibernate.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.NotFound;

/** Single measurements: logged, taken out, put back. The same measurement is never in the log twice. */
@Service
@Transactional
class MeasurementLog {
    private static final String COLUMNS = "id, " + MeasurementInserts.COLUMNS;

    private final EntityManager entities;
    private final Names names;
    private final StayService stays;
    private final KnownTrials trials;
    private final Meanwhile meanwhile;

    MeasurementLog(EntityManager entities, Names names, StayService stays, KnownTrials trials, Meanwhile meanwhile) {
        this.entities = entities;
        this.names = names;
        this.stays = stays;
        this.trials = trials;
        this.meanwhile = meanwhile;
    }

    /**
     * Stores one measurement.
     *
     * @throws Conflict when the same measurement is there already
     */
    public Long store(NewMeasurement measurement) {
        Names.Book book = names.open(Names.Making.HERE);
        Measurement row = new Measurement(
                measurement,
                book.campsite(measurement.campsite(), measurement.lat(), measurement.lon()),
                book.setup(measurement.setup()),
                book.carrier(measurement.carrier()));
        Fingerprint print = new Fingerprint(row.printHigh, row.printLow);
        if (isThere(print, row.takenAt)) {
            throw new Conflict("takenAt", "this measurement is in the log already");
        }
        entities.flush();
        Long id = entities.unwrap(Session.class)
                .doReturningWork(connection -> MeasurementInserts.insert(connection, row));
        meanwhile.logged(print, id, row.takenAt);
        trials.add(row);
        stays.logged(row);
        return id;
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

    /**
     * Takes a measurement out of the log until it is put back.
     *
     * @throws NotFound when there is none
     */
    public void delete(long id) {
        Measurement gone = entities.find(Measurement.class, id);
        if (gone == null) {
            throw missing(id);
        }
        entities.detach(gone);
        move("measurement", "deleted_measurement", id);
        stays.removed(gone);
    }

    /**
     * Puts a deleted measurement back; where the same one came into the log meanwhile, that one stands for it.
     *
     * @throws NotFound when none with the number was deleted
     */
    public void restore(long id) {
        List<?> found = entities.createNativeQuery(
                        "select taken_at, print_high, print_low from deleted_measurement where id = :id",
                        Object[].class)
                .setParameter("id", id)
                .getResultList();
        if (found.isEmpty()) {
            throw missing(id);
        }
        Object[] what = (Object[]) found.get(0);
        OffsetDateTime takenAt = (OffsetDateTime) what[0];
        Fingerprint print = new Fingerprint((Long) what[1], (Long) what[2]);
        if (isThere(print, takenAt)) {
            remove("deleted_measurement", id);
            return;
        }
        move("deleted_measurement", "measurement", id);
        meanwhile.logged(print, id, takenAt);
        stays.logged(entities.find(Measurement.class, id));
    }

    private static NotFound missing(long id) {
        return new NotFound("no measurement has the number " + id);
    }

    private void move(String from, String to, long id) {
        entities.createNativeQuery("insert into " + to + " (" + COLUMNS + ") select " + COLUMNS + " from " + from
                        + " where id = :id")
                .setParameter("id", id)
                .executeUpdate();
        remove(from, id);
    }

    private void remove(String table, long id) {
        entities.createNativeQuery("delete from " + table + " where id = :id")
                .setParameter("id", id)
                .executeUpdate();
    }
}

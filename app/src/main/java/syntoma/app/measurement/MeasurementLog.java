package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Stays;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.NotFound;
import syntoma.app.setup.Setups;

/** Single measurements: logged, taken out, put back. The same measurement is never in the log twice. */
@Service
@Transactional
class MeasurementLog {
    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final Stays stays;
    private final KnownTrials trials;
    private final Meanwhile meanwhile;

    MeasurementLog(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            Stays stays,
            KnownTrials trials,
            Meanwhile meanwhile) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.stays = stays;
        this.trials = trials;
        this.meanwhile = meanwhile;
    }

    /**
     * Stores one measurement.
     *
     * @throws Conflict when the same measurement is there already
     */
    public Long store(NewMeasurement m) {
        Measurement row = new Measurement(
                m,
                Fingerprint.of(m, setups.firstNames().getOrDefault(m.setup(), m.setup())),
                campsites.number(m.campsite(), m.lat(), m.lon()),
                setups.number(m.setup()),
                m.carrier().isEmpty() ? null : carriers.number(m.carrier()));
        if (isThere(row.print(), row.takenAt)) {
            throw new Conflict("takenAt", "this measurement is in the log already");
        }
        keep(row);
        trials.add(row);
        return row.id;
    }

    private void keep(Measurement row) {
        entities.persist(row);
        entities.flush();
        meanwhile.logged(row.print(), row.id, row.takenAt);
        stays.logged(row.taken());
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
        entities.persist(new DeletedMeasurement(gone));
        entities.remove(gone);
        entities.flush();
        stays.removed(gone.taken());
    }

    /**
     * Puts a deleted measurement back; where the same one came into the log meanwhile, that one stands for it.
     *
     * @throws NotFound when none with the number was deleted
     */
    public void restore(long id) {
        DeletedMeasurement deleted = entities.find(DeletedMeasurement.class, id);
        if (deleted == null) {
            throw missing(id);
        }
        entities.remove(deleted);
        if (!isThere(deleted.print(), deleted.takenAt)) {
            keep(new Measurement(deleted));
        }
    }

    private static NotFound missing(long id) {
        return new NotFound("no measurement has the number " + id);
    }
}

package syntoma.app.measurement;

import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Moment;
import syntoma.app.setup.Setups;

/** The names that measurements are logged under, and those they are told apart by. */
@Component
class LogNames {
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;

    LogNames(Campsites campsites, Setups setups, Carriers carriers) {
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
    }

    /** The first names of all that have several. */
    @Transactional(readOnly = true)
    public Fingerprint.Names first() {
        return new Fingerprint.Names(campsites.firstNames(), setups.firstNames(), carriers.firstNames());
    }

    /** Where a measurement stands: the numbers of its names, made when they are new. */
    record Place(Long campsite, Long setup, @Nullable Long carrier) {}

    Place place(NewMeasurement m) {
        return new Place(
                campsites.number(m.campsite(), m.lat(), m.lon()),
                setups.number(m.setup()),
                m.carrier().isEmpty() ? null : carriers.number(m.carrier()));
    }

    /** What tells a row apart under the names that it has now. */
    Fingerprint print(MeasurementRow row, Fingerprint.Names first) {
        return Fingerprint.of(
                row,
                campsites.name(row.campsiteId).orElseThrow(),
                setups.name(row.setupId).orElseThrow(),
                carriers.name(row.carrierId).orElse(""),
                first);
    }

    /** A row that was out of the log is under the names that its own lead to by now. */
    void follow(MeasurementRow row) {
        row.place(
                campsites.current(row.campsiteId),
                setups.current(row.setupId),
                row.carrierId == null ? null : carriers.current(row.carrierId));
        row.print(print(row, first()));
    }

    /** A measurement that was logged, for others. */
    MeasurementStoredEvent storedEvent(MeasurementRow row) {
        return new MeasurementStoredEvent(
                campsites.name(row.campsiteId).orElseThrow(),
                setups.name(row.setupId).orElseThrow(),
                carriers.name(row.carrierId).orElse(null),
                row.trial,
                row.takenAt);
    }

    /** A measurement in words. */
    String describe(MeasurementRow row) {
        return setups.name(row.setupId).orElseThrow() + " at "
                + campsites.name(row.campsiteId).orElseThrow() + ", " + Moment.text(row.takenAt);
    }
}

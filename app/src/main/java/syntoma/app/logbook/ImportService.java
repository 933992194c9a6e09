package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import org.hibernate.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.platform.InvalidInput;
import syntoma.core.unit.FieldProblem;

/** Stores measurements: rows of a file are judged one by one, the good ones kept in one transaction. */
@Service
public class ImportService {
    private static final int MOST_REPORTED = 10_000;

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Names names;
    private final StayService stays;
    private final ReentrantLock oneAtATime = new ReentrantLock();

    ImportService(EntityManager entities, PlatformTransactionManager manager, Names names, StayService stays) {
        this.entities = entities;
        this.transaction = new TransactionTemplate(manager);
        this.names = names;
        this.stays = stays;
    }

    /**
     * Imports a CSV file.
     *
     * @throws InvalidInput when it is no file of measurements; nothing was kept
     * @throws Cancelled when told to stop; nothing was kept
     */
    ImportReport run(InputStream file, boolean dryRun, ImportProgress.Run progress) {
        oneAtATime.lock();
        try {
            return transaction.execute(status -> {
                try {
                    CsvTable table = CsvTable.open(file);
                    ImportReport report = entities.unwrap(Session.class)
                            .doReturningWork(connection -> read(table, dryRun, progress, connection));
                    if (dryRun) {
                        status.setRollbackOnly();
                    } else {
                        stays.derive();
                    }
                    return report;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } finally {
            oneAtATime.unlock();
        }
    }

    /** Imports a file that is known to be sound, and says how many rows were taken. */
    public int importAll(InputStream file) {
        return run(file, false, ImportProgress.unwatched()).accepted();
    }

    /**
     * Stores one measurement.
     *
     * @throws InvalidInput when the same measurement is there already
     */
    Long store(NewMeasurement measurement) {
        oneAtATime.lock();
        try {
            return transaction.execute(status -> {
                Names.Book book = names.open(true);
                Measurement row = row(measurement, book);
                Long same = entities.createQuery(
                                "select count(*) from Measurement m where m.printHigh = :high and m.printLow = :low"
                                        + " and m.campsiteId = :campsite",
                                Long.class)
                        .setParameter("high", row.printHigh)
                        .setParameter("low", row.printLow)
                        .setParameter("campsite", row.campsiteId)
                        .getSingleResult();
                if (same > 0) {
                    throw new InvalidInput("takenAt", "this measurement is in the log already");
                }
                entities.flush();
                Long id = entities.unwrap(Session.class)
                        .doReturningWork(connection -> MeasurementInserts.insert(connection, row));
                stays.derive();
                return id;
            });
        } finally {
            oneAtATime.unlock();
        }
    }

    private ImportReport read(CsvTable table, boolean dryRun, ImportProgress.Run progress, Connection connection)
            throws SQLException {
        Names.Book book = names.open(!dryRun);
        FingerprintSet known = known();
        MeasurementReader reader = new MeasurementReader(table.decimalComma());
        List<ImportReport.Rejection> rejected = new ArrayList<>();
        int accepted = 0;
        int duplicates = 0;
        int rejectedRows = 0;
        try (MeasurementInserts inserts = new MeasurementInserts(connection)) {
            for (CsvTable.Row row = table.next(); row != null; row = table.next()) {
                progress.row();
                if (progress.cancelled()) {
                    throw new Cancelled();
                }
                if (!row.fault().isEmpty()) {
                    rejectedRows++;
                    reject(rejected, new ImportReport.Rejection(row.line(), "", row.fault()));
                    if (row.cells().isEmpty()) {
                        break;
                    }
                    continue;
                }
                CsvTable.Row current = row;
                Optional<NewMeasurement> read = reader.read(column -> table.text(current, column));
                if (read.isEmpty()) {
                    rejectedRows++;
                    reject(rejected, rejection(row, reader.problems()));
                    continue;
                }
                Measurement measurement = row(read.get(), book);
                if (!known.add(measurement.printHigh, measurement.printLow)) {
                    duplicates++;
                    continue;
                }
                accepted++;
                if (!dryRun) {
                    inserts.add(measurement);
                }
            }
            inserts.flush();
        }
        return new ImportReport(accepted, duplicates, rejectedRows, rejected, book.created());
    }

    private static Measurement row(NewMeasurement m, Names.Book book) {
        return new Measurement(
                m, book.campsite(m.campsite(), m.lat(), m.lon()), book.setup(m.setup()), book.carrier(m.carrier()));
    }

    private FingerprintSet known() {
        FingerprintSet set = new FingerprintSet();
        entities.createQuery("select m.printHigh, m.printLow from Measurement m", Object[].class)
                .getResultStream()
                .forEach(print -> set.add((long) print[0], (long) print[1]));
        return set;
    }

    private static void reject(List<ImportReport.Rejection> rejected, ImportReport.Rejection rejection) {
        if (rejected.size() < MOST_REPORTED) {
            rejected.add(rejection);
        }
    }

    private static ImportReport.Rejection rejection(CsvTable.Row row, List<FieldProblem> problems) {
        return new ImportReport.Rejection(
                row.line(),
                problems.get(0).field(),
                problems.stream().map(FieldProblem::message).collect(Collectors.joining("; ")));
    }
}

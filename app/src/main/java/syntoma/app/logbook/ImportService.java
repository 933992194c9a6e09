package syntoma.app.logbook;

import jakarta.annotation.PostConstruct;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.hibernate.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.app.store.Force;
import syntoma.app.store.ForcedTransactions;
import syntoma.app.store.Pen;
import syntoma.core.unit.FieldProblem;

/**
 * Stores the rows of files: judged one by one, the good ones kept in one transaction. Imports come in turn; the log is
 * written to by others meanwhile, and nothing of an import is seen before all of it is kept.
 */
@Service
public class ImportService {
    private static final int MOST_REPORTED = 10_000;
    private static final int MOST_WAITING = 4;
    private static final int LOOK_UP_MS = 100;

    /** Rows after which what was written so far is forced, so that nobody else's force has to wait for all of it. */
    private static final int FORCE_AFTER = 20_000;

    private final EntityManager entities;
    private final TransactionTemplate alongside;
    private final TransactionTemplate reading;
    private final Names names;
    private final StayService stays;
    private final KnownTrials trials;
    private final Meanwhile meanwhile;
    private final Pen pen;
    private final Force force;
    private final Semaphore turn = new Semaphore(1, true);

    ImportService(
            EntityManager entities,
            ForcedTransactions transactions,
            Names names,
            StayService stays,
            KnownTrials trials,
            Meanwhile meanwhile,
            Pen pen,
            Force force) {
        this.entities = entities;
        this.alongside = transactions.alongside();
        this.reading = new TransactionTemplate(transactions);
        reading.setReadOnly(true);
        this.names = names;
        this.stays = stays;
        this.trials = trials;
        this.meanwhile = meanwhile;
        this.pen = pen;
        this.force = force;
    }

    /** Ends what an import that was broken off has left. */
    @PostConstruct
    void tidy() {
        names.takeBackMade();
        stays.settle();
    }

    /**
     * Imports a CSV file, which must not come over the network as it is read.
     *
     * @throws InvalidInput when it is no file of measurements; nothing was kept
     * @throws Cancelled when told to stop; nothing was kept
     */
    ImportReport run(InputStream file, boolean dryRun, ImportProgress.Run progress) {
        takeTurn(progress);
        try {
            if (dryRun) {
                return reading.execute(status -> entities.unwrap(Session.class)
                        .doReturningWork(connection -> new Rows(file, progress, connection).judge()));
            }
            try {
                return keep(file, progress);
            } finally {
                meanwhile.end();
                stays.settle();
            }
        } finally {
            turn.release();
        }
    }

    /** Imports a file that is known to be sound, and says how many rows were taken. */
    public int importAll(InputStream file) {
        return run(file, false, ImportProgress.unwatched()).accepted();
    }

    private void takeTurn(ImportProgress.Run progress) {
        if (turn.getQueueLength() >= MOST_WAITING) {
            throw new Conflict(MOST_WAITING
                    + " imports wait for their turn already; nothing of this one was kept. Try again later");
        }
        try {
            while (!turn.tryAcquire(LOOK_UP_MS, TimeUnit.MILLISECONDS)) {
                if (progress.cancelled()) {
                    throw new Cancelled();
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Cancelled();
        }
    }

    private ImportReport keep(InputStream file, ImportProgress.Run progress) {
        boolean kept = false;
        try {
            // with the pen: what others log is then either there already or told to this import
            pen.holding(meanwhile::begin);
            Meanwhile.Import under = meanwhile.current();
            ImportReport report = alongside.execute(status -> entities.unwrap(Session.class)
                    .doReturningWork(connection -> new Rows(file, progress, connection).keep(under)));
            kept = true;
            return report;
        } finally {
            if (!kept) {
                names.takeBackMade();
            }
        }
    }

    /** The rows of one file on their way into the log. */
    private final class Rows {
        private final CsvTable table;
        private final ImportProgress.Run progress;
        private final Connection connection;
        private final FingerprintSet known = new FingerprintSet();
        private final KnownTrials.Seen seen = new KnownTrials.Seen();
        private final List<ImportReport.Rejection> rejected = new ArrayList<>();
        private int accepted;
        private int duplicates;
        private int rejectedRows;
        private OffsetDateTime first;
        private OffsetDateTime last;

        private Rows(InputStream file, ImportProgress.Run progress, Connection connection) {
            this.progress = progress;
            this.connection = connection;
            try {
                this.table = CsvTable.open(file);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        ImportReport judge() throws SQLException {
            Names.Book book = names.open(Names.Making.NONE);
            read(book, row -> {});
            return report(book);
        }

        ImportReport keep(Meanwhile.Import under) throws SQLException {
            Names.Book book = names.open(Names.Making.FOR_IMPORT);
            try (MeasurementInserts inserts = new MeasurementInserts(connection)) {
                read(book, row -> {
                    inserts.add(row);
                    seen.add(row);
                    if (accepted % FORCE_AFTER == 0) {
                        force.force();
                    }
                });
                inserts.flush();
            }
            pen.holding(() -> seal(under));
            return report(book);
        }

        /** What was logged meanwhile stays, and goes from the import; from then on the import's rows count as there. */
        private void seal(Meanwhile.Import under) {
            under.logged().forEach((print, logged) -> {
                if (known.contains(print.high(), print.low()) && isThere(logged)) {
                    int twice = entities.createQuery(
                                    "delete from Measurement m where m.takenAt = :at and m.printHigh = :high"
                                            + " and m.printLow = :low and m.id <> :id")
                            .setParameter("at", logged.takenAt())
                            .setParameter("high", print.high())
                            .setParameter("low", print.low())
                            .setParameter("id", logged.id())
                            .executeUpdate();
                    accepted -= twice;
                    duplicates += twice;
                }
            });
            if (first != null) {
                stays.due(first, last);
            }
            trials.add(seen);
            names.keepMade();
            under.seal(known);
        }

        private boolean isThere(Meanwhile.Logged logged) {
            return entities.createQuery("select count(*) from Measurement m where m.id = :id", Long.class)
                            .setParameter("id", logged.id())
                            .getSingleResult()
                    > 0;
        }

        private ImportReport report(Names.Book book) {
            return new ImportReport(accepted, duplicates, rejectedRows, rejected, book.created());
        }

        private void read(Names.Book book, Keeping keeping) throws SQLException {
            entities.createQuery("select m.printHigh, m.printLow from Measurement m", Object[].class)
                    .getResultStream()
                    .forEach(print -> known.add((long) print[0], (long) print[1]));
            MeasurementReader reader = new MeasurementReader(table.decimalComma());
            for (CsvTable.Row row = table.next(); row != null; row = table.next()) {
                progress.row();
                if (progress.cancelled()) {
                    throw new Cancelled();
                }
                if (!row.fault().isEmpty()) {
                    reject(new ImportReport.Rejection(row.line(), "", row.fault()));
                    if (row.cells().isEmpty()) {
                        break;
                    }
                    continue;
                }
                CsvTable.Row current = row;
                Optional<NewMeasurement> read = reader.read(column -> table.text(current, column));
                if (read.isEmpty()) {
                    reject(rejection(row, reader.problems()));
                    continue;
                }
                Measurement measurement = measurement(read.get(), book);
                if (!known.add(measurement.printHigh, measurement.printLow)) {
                    duplicates++;
                    continue;
                }
                accepted++;
                first = first == null || measurement.takenAt.isBefore(first) ? measurement.takenAt : first;
                last = last == null || measurement.takenAt.isAfter(last) ? measurement.takenAt : last;
                keeping.take(measurement);
            }
        }

        private void reject(ImportReport.Rejection rejection) {
            rejectedRows++;
            if (rejected.size() < MOST_REPORTED) {
                rejected.add(rejection);
            }
        }
    }

    /** What happens to a row that is taken. */
    private interface Keeping {
        void take(Measurement row) throws SQLException;
    }

    private static Measurement measurement(NewMeasurement m, Names.Book book) {
        return new Measurement(
                m, book.campsite(m.campsite(), m.lat(), m.lon()), book.setup(m.setup()), book.carrier(m.carrier()));
    }

    private static ImportReport.Rejection rejection(CsvTable.Row row, List<FieldProblem> problems) {
        return new ImportReport.Rejection(
                row.line(),
                problems.get(0).field(),
                problems.stream().map(FieldProblem::message).collect(Collectors.joining("; ")));
    }
}

package syntoma.app.exchange;

import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.measurement.Intake;
import syntoma.app.measurement.MeasurementReader;
import syntoma.app.measurement.NewMeasurement;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.core.tabletext.Mapping;
import syntoma.core.unit.FieldProblem;

/** Stores the rows of files: judged one by one, the good ones kept together. Imports come in turn. */
@Service
public class ImportService {
    private static final int MOST_REPORTED = 10_000;
    private static final int MOST_WAITING = 4;
    private static final int LOOK_UP_MS = 100;

    private final ImportNames names;
    private final Intake intake;
    private final Mappings mappings;
    private final Semaphore turn = new Semaphore(1, true);

    ImportService(ImportNames names, Intake intake, Mappings mappings) {
        this.names = names;
        this.intake = intake;
        this.mappings = mappings;
    }

    /** Ends what an import that was broken off has left. */
    @PostConstruct
    void tidy() {
        names.takeBackMade();
    }

    /**
     * Imports a file, which must not come over the network as it is read.
     *
     * @param sheet of a workbook; empty for its first
     * @throws InvalidInput when it is no file of measurements; nothing was kept
     * @throws Cancelled when told to stop; nothing was kept
     */
    ImportReport run(InputStream file, String sheet, boolean dryRun, ImportProgress.Run progress) {
        takeTurn(progress);
        boolean kept = false;
        try (FileRows rows = new FileRows(file, sheet, progress, names.open(!dryRun), mappings::of)) {
            Intake.Counts counts = dryRun ? intake.judge(rows::read) : intake.keep(rows::read, names::keepMade);
            kept = true;
            return rows.report(counts);
        } finally {
            if (!kept && !dryRun) {
                names.takeBackMade();
            }
            turn.release();
        }
    }

    /** Imports a file that is known to be sound, and says how many rows were taken. */
    public int importAll(InputStream file) {
        return run(file, "", false, ImportProgress.unwatched()).accepted();
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

    /** A row of a file: a measurement, or why it is none. */
    private record Judged(@Nullable Intake.Ready measurement, @Nullable ImportReport.Rejection rejection) {}

    /** The rows of one file on their way into the log. */
    private static final class FileRows implements AutoCloseable {
        private final TableFile table;
        private final ImportProgress.Run progress;
        private final ImportNames.Book book;
        private final List<ImportReport.Rejection> rejected = new ArrayList<>();
        private int rejectedRows;

        private FileRows(
                InputStream file,
                String sheet,
                ImportProgress.Run progress,
                ImportNames.Book book,
                Function<List<String>, Optional<Mapping>> mappings) {
            this.progress = progress;
            this.book = book;
            try {
                this.table = TableFile.open(file, sheet, mappings);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        public void close() {
            try {
                table.close();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        ImportReport report(Intake.Counts counts) {
            return new ImportReport(counts.accepted(), counts.duplicates(), rejectedRows, rejected, book.created());
        }

        void read(Intake.Rows into) {
            MeasurementReader reader = new MeasurementReader(table.decimalComma());
            try (ReadAhead<Judged> rows = new ReadAhead<>(() -> next(reader, into))) {
                for (Judged row = rows.next(); row != null; row = rows.next()) {
                    progress.row();
                    if (progress.cancelled()) {
                        throw new Cancelled();
                    }
                    if (row.rejection != null) {
                        reject(row.rejection);
                    } else {
                        take(row.measurement, into);
                    }
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new Cancelled();
            }
        }

        /** The next row of the file, read and judged; null at the end. */
        private @Nullable Judged next(MeasurementReader reader, Intake.Rows into) {
            Cells.Row row = table.next();
            if (row == null) {
                return null;
            }
            if (!row.fault().isEmpty()) {
                return new Judged(null, new ImportReport.Rejection(row.line(), "", row.fault()));
            }
            return reader.read(column -> table.text(row, column))
                    .map(read -> new Judged(into.ready(read), null))
                    .orElseGet(() -> new Judged(null, rejection(row, reader.problems())));
        }

        private void take(Intake.Ready ready, Intake.Rows into) {
            NewMeasurement m = ready.measurement();
            into.take(
                    ready,
                    book.campsite(m.campsite(), m.lat(), m.lon()),
                    book.setup(m.setup()),
                    book.carrier(m.carrier()));
        }

        private void reject(ImportReport.Rejection rejection) {
            rejectedRows++;
            if (rejected.size() < MOST_REPORTED) {
                rejected.add(rejection);
            }
        }

        private static ImportReport.Rejection rejection(Cells.Row row, List<FieldProblem> problems) {
            return new ImportReport.Rejection(
                    row.line(),
                    problems.get(0).field(),
                    problems.stream().map(FieldProblem::message).collect(Collectors.joining("; ")));
        }
    }
}

package syntoma.app.exchange;

import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import syntoma.app.csv.Cells;
import syntoma.app.history.Journal;
import syntoma.app.measurement.Intake;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.measurement.MeasurementReader;
import syntoma.app.measurement.NewMeasurement;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.tabletext.Mapping;
import syntoma.core.unit.FieldProblem;

/** Stores the rows of files: judged one by one, the good ones kept together. Imports come in turn. */
@Service
public class ImportService {
    private static final Logger LOG = LoggerFactory.getLogger(ImportService.class);
    private static final int MOST_REPORTED = 10_000;
    private static final int MOST_WAITING = 4;
    private static final int LOOK_UP_MS = 100;

    private final ImportNames names;
    private final Intake intake;
    private final Mappings mappings;
    private final IntakeTurn turn;
    private final Journal journal;

    ImportService(ImportNames names, Intake intake, Mappings mappings, IntakeTurn turn, Journal journal) {
        this.names = names;
        this.intake = intake;
        this.mappings = mappings;
        this.turn = turn;
        this.journal = journal;
    }

    /** Ends what an import that was broken off has left. */
    @PostConstruct
    void tidy() {
        names.takeBackMade();
    }

    /**
     * Imports a file, which must not come over the network as it is read.
     *
     * @param wanted what to read of it
     * @throws InvalidInputException when it is no file of measurements; nothing was kept
     * @throws ImportCancelledException when told to stop; nothing was kept
     */
    ImportReport run(InputStream file, FileSelection wanted, boolean dryRun, ImportProgress.Run progress) {
        takeTurn(progress);
        boolean kept = false;
        try (FileRows rows = new FileRows(file, wanted.sheet, progress, names.open(!dryRun), mappings::of)) {
            Noting noting = new Noting(wanted.name, rows.book);
            Intake.Counts counts = dryRun ? intake.judge(rows::read) : intake.keep(rows::read, noting);
            kept = true;
            return rows.report(counts, noting.change);
        } finally {
            try {
                if (!kept && !dryRun) {
                    takeBackNames();
                }
            } finally {
                turn.give();
            }
        }
    }

    /** What cannot be taken back now is taken back by the next import, or at the next start. */
    private void takeBackNames() {
        try {
            names.takeBackMade();
        } catch (RuntimeException later) {
            LOG.warn("names made for an import that was not kept stay for now: {}", later.getMessage());
        }
    }

    /** Imports a file that is known to be sound, and says how many rows were taken. */
    public int importAll(InputStream file) {
        return run(file, FileSelection.ALL, false, ImportProgress.unwatched()).accepted();
    }

    /**
     * What to read of a file.
     *
     * @param name of the file, for a person; empty where it has none
     * @param sheet of a workbook; empty for its first
     */
    record FileSelection(String name, String sheet) {
        static final FileSelection ALL = new FileSelection("", "");
    }

    /** Writes an import into the journal, in its transaction; one that keeps nothing leaves no entry. */
    private final class Noting implements Intake.Frame {
        private final String file;
        private final ImportNames.Book book;
        private @Nullable Long change;

        private Noting(String file, ImportNames.Book book) {
            this.file = file;
            this.book = book;
        }

        @Override
        public long begin() {
            return journal.write(Journal.Kind.IMPORTED, "An import is under way", "");
        }

        @Override
        public void end(long entry, Intake.Counts counts) {
            names.keepMade();
            if (counts.accepted() == 0) {
                journal.withdraw(entry);
                return;
            }
            change = entry;
            String from = file.isEmpty() ? "" : " from " + file;
            journal.complete(
                    entry,
                    "Imported " + counts.accepted() + (counts.accepted() == 1 ? " measurement" : " measurements")
                            + from,
                    new ImportUndoing.ImportedEntry(
                            counts.first().toString(), counts.last().toString(), book.madeNumbers()));
        }
    }

    private void takeTurn(ImportProgress.Run progress) {
        if (turn.waiting() >= MOST_WAITING) {
            throw new ConflictException(MOST_WAITING
                    + " imports wait for their turn already; nothing of this one was kept. Try again later");
        }
        try {
            while (!turn.take(LOOK_UP_MS)) {
                if (progress.isCancelled() || progress.isAbandoned()) {
                    throw new ImportCancelledException();
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ImportCancelledException();
        }
    }

    /**
     * A measurement of a file, or why it is none.
     *
     * @param isLast of its row, which may hold several
     */
    private record CheckedRow(
            @Nullable Intake.Ready measurement, @Nullable ImportReport.Rejection rejection, boolean isLast) {}

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

        ImportReport report(Intake.Counts counts, @Nullable Long change) {
            return new ImportReport(
                    counts.accepted(),
                    counts.duplicates(),
                    rejectedRows,
                    rejected,
                    book.createdNames(),
                    book.close(),
                    change);
        }

        void read(Intake.Rows into) {
            MeasurementReader reader = new MeasurementReader(table.hasDecimalComma());
            try (ReadAhead<CheckedRow> rows = new ReadAhead<>(() -> next(reader, into))) {
                for (CheckedRow row = rows.next(); row != null; row = rows.next()) {
                    if (row.isLast) {
                        progress.row();
                    }
                    if (progress.isCancelled()) {
                        throw new ImportCancelledException();
                    }
                    if (row.rejection != null) {
                        reject(row.rejection);
                    } else {
                        take(row.measurement, into);
                    }
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                throw new ImportCancelledException();
            }
        }

        /** The next row of the file, read and judged; null at the end. */
        private @Nullable CheckedRow next(MeasurementReader reader, Intake.Rows into) {
            Cells.Row row = table.next();
            if (row == null) {
                return null;
            }
            if (!row.fault().isEmpty()) {
                return new CheckedRow(null, new ImportReport.Rejection(row.line(), "", row.fault()), true);
            }
            boolean last = !table.hasBeside();
            return reader.read(column -> table.text(row, column))
                    .map(read -> new CheckedRow(into.prepare(read), null, last))
                    .orElseGet(() -> new CheckedRow(null, rejection(row, reader.problems()), last));
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

package syntoma.app.measurement;

import jakarta.annotation.PostConstruct;
import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.function.Consumer;
import org.hibernate.Session;
import org.hibernate.SessionFactory;
import org.hibernate.StatelessSession;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.campsite.Stays;
import syntoma.app.store.Force;
import syntoma.app.store.ForcedTransactions;
import syntoma.app.store.Pen;

/**
 * Takes many measurements into the log in one transaction, one intake after the other; the log is written to by others
 * meanwhile, and nothing of an intake is seen before all of it is kept.
 */
@Service
public class Intake {
    private static final int BATCH = 500;

    /** Rows after which what was written so far is forced, so that nobody else's force has to wait for all of it. */
    private static final int ROOM_LOOKED_AFTER = 2_000;

    private static final int FORCE_AFTER = 20_000;

    private final EntityManager entities;
    private final TransactionTemplate alongside;
    private final TransactionTemplate reading;
    private final LogNames names;
    private final Stays stays;
    private final KnownTrials trials;
    private final Meanwhile meanwhile;
    private final Pen pen;
    private final Force force;

    Intake(
            EntityManager entities,
            ForcedTransactions transactions,
            LogNames names,
            Stays stays,
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

    /**
     * How many rows were taken, and how many were there already.
     *
     * @param first when the first of those taken was measured; null when none was taken
     */
    public record Counts(int accepted, int duplicates, @Nullable OffsetDateTime first, @Nullable OffsetDateTime last) {}

    /** What is done around the rows of an intake, in its transaction. */
    public interface Frame {
        /** Gives the number of the entry of the journal that the rows come with. */
        long begin();

        /** All rows are there. */
        void end(long entry, Counts counts);
    }

    /** Brings the stays in line with an intake that a stop has left unfinished. */
    @PostConstruct
    void settle() {
        stays.settle();
    }

    /** Counts what would be taken, and keeps nothing. */
    public Counts judge(Consumer<Rows> source) {
        return reading.execute(status -> {
            Rows rows = new Rows(null, null);
            source.accept(rows);
            return rows.counts();
        });
    }

    /**
     * Keeps what is taken. Intakes must come in turn.
     *
     * @param source gives the rows
     */
    public Counts keep(Consumer<Rows> source, Frame frame) {
        try {
            // with the pen: what others log is then either there already or told to this intake
            pen.holding(meanwhile::begin);
            Meanwhile.Import under = meanwhile.current();
            return alongside.execute(status -> {
                long entry = frame.begin();
                return entities.unwrap(Session.class).doReturningWork(connection -> {
                    SessionFactory factory = entities.unwrap(Session.class).getSessionFactory();
                    try (StatelessSession batch = factory.openStatelessSession(connection)) {
                        batch.setJdbcBatchSize(BATCH);
                        // it batches within a transaction of its own only; what ends it is the one around
                        batch.beginTransaction();
                        Rows rows = new Rows(batch, entry);
                        source.accept(rows);
                        ((SharedSessionContractImplementor) batch)
                                .getJdbcCoordinator()
                                .executeBatch();
                        pen.holding(() -> {
                            rows.seal(under);
                            frame.end(entry, rows.counts());
                        });
                        return rows.counts();
                    }
                });
            });
        } finally {
            meanwhile.end();
            stays.settle();
        }
    }

    /** A measurement that only waits for its turn. */
    public static final class Ready {
        private final NewMeasurement measurement;
        private final Fingerprint print;

        private Ready(NewMeasurement measurement, Fingerprint print) {
            this.measurement = measurement;
            this.print = print;
        }

        public NewMeasurement measurement() {
            return measurement;
        }
    }

    /** The rows of one intake. */
    public final class Rows {
        private final StatelessSession batch;
        private final @Nullable Long entry;
        private final FingerprintSet known = new FingerprintSet();
        private final KnownTrials.ImportedTrials seen = new KnownTrials.ImportedTrials();
        private final Fingerprint.Names firstNames = names.first();
        private int accepted;
        private int duplicates;
        private OffsetDateTime first;
        private OffsetDateTime last;

        private Rows(@Nullable StatelessSession batch, @Nullable Long entry) {
            this.batch = batch;
            this.entry = entry;
            know("select m.printHigh, m.printLow from Measurement m");
            // what a measurement was before it was edited is in the log too
            know("select f.printHigh, f.printLow from FormerPrint f"
                    + " where exists (select m.id from Measurement m where m.id = f.measurementId)");
        }

        private void know(String query) {
            entities.createQuery(query, Object[].class)
                    .getResultStream()
                    .forEach(print -> known.add((long) print[0], (long) print[1]));
        }

        /** Does what can be done with a measurement before its turn; on any thread, one after the other. */
        public Ready prepare(NewMeasurement m) {
            return new Ready(m, Fingerprint.of(m, firstNames));
        }

        /** Takes a measurement, unless the same is there already. */
        public void take(Ready ready, Long campsite, Long setup, @Nullable Long carrier) {
            Measurement row = new Measurement(ready.measurement, ready.print, campsite, setup, carrier);
            if (!known.add(row.printHigh, row.printLow)) {
                duplicates++;
                return;
            }
            accepted++;
            first = first == null || row.takenAt.isBefore(first) ? row.takenAt : first;
            last = last == null || row.takenAt.isAfter(last) ? row.takenAt : last;
            if (batch != null) {
                row.importId = entry;
                batch.insert(row);
                seen.add(row);
                if (accepted % ROOM_LOOKED_AFTER == 0) {
                    force.requireSavable();
                }
                if (accepted % FORCE_AFTER == 0) {
                    force.force();
                }
            }
        }

        private Counts counts() {
            return new Counts(accepted, duplicates, first, last);
        }

        /** What was logged meanwhile stays, and goes from the intake; from then on the intake's rows count as there. */
        private void seal(Meanwhile.Import under) {
            under.loggedMeanwhile().forEach((print, logged) -> {
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
            under.seal(known);
        }

        private boolean isThere(Meanwhile.LoggedMeanwhile logged) {
            return entities.createQuery("select count(*) from Measurement m where m.id = :id", Long.class)
                            .setParameter("id", logged.id())
                            .getSingleResult()
                    > 0;
        }
    }
}

package syntoma.app.demo;

import jakarta.persistence.EntityManager;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.aim.MastFiles;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StandingService;
import syntoma.app.exchange.ImportService;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.LogClock;
import syntoma.app.store.Emptying;
import syntoma.app.store.StoreRestoredEvent;
import syntoma.app.store.StoreTables;
import syntoma.app.trial.Plans;
import syntoma.standin.DemoLog;
import syntoma.standin.DemoMasts;

/** The demo data: brought into an empty log, through the same services as a user's own, and removed as a whole. */
@Service
class DemoService {
    private final EntityManager entities;
    private final Campsites campsites;
    private final ImportService imports;
    private final Plans plans;
    private final StandingService standing;
    private final DemoRigLoader rig;
    private final MastFiles masts;
    private final DemoInstruments instruments;
    private final IntakeTurn turn;
    private final Emptying emptying;
    private final LogClock clock;
    private final TransactionTemplate transaction;
    private final StoreTables tables;
    private final ReentrantLock changing = new ReentrantLock();

    DemoService(
            EntityManager entities,
            Campsites campsites,
            ImportService imports,
            Plans plans,
            StandingService standing,
            DemoRigLoader rig,
            MastFiles masts,
            DemoInstruments instruments,
            IntakeTurn turn,
            Emptying emptying,
            LogClock clock,
            StoreTables tables,
            PlatformTransactionManager manager) {
        this.entities = entities;
        this.campsites = campsites;
        this.imports = imports;
        this.plans = plans;
        this.standing = standing;
        this.rig = rig;
        this.masts = masts;
        this.instruments = instruments;
        this.turn = turn;
        this.emptying = emptying;
        this.clock = clock;
        this.tables = tables;
        this.transaction = new TransactionTemplate(manager);
    }

    /** Whether the log holds the demo data. */
    boolean isShown() {
        return entities.find(DemoMark.class, DemoMark.ONLY) != null;
    }

    /** At a start: where the demo was shown before, it is the demo's evening again. */
    void goOn() {
        if (isShown()) {
            clock.showDemo();
            instruments.setUp();
        }
    }

    /** Where an archive took the place of the demo, it is the present again. */
    @EventListener(StoreRestoredEvent.class)
    public void onRestore() {
        if (!isShown()) {
            instruments.putAway();
            clock.showPresent();
        }
    }

    /** Whether nothing was entered or logged yet, of whatever kind: all of it goes when the demo goes. */
    boolean isEmpty() {
        return tables.areUntouched();
    }

    /**
     * Brings the demo data in.
     *
     * @throws ConflictException when there is anything of a user's own, or the demo is on its way in or out already
     */
    void show() {
        runAlone(this::bringIn);
    }

    private void runAlone(Runnable change) {
        if (!changing.tryLock()) {
            throw new ConflictException(
                    "the demo data are being brought in or removed already; look again in a moment");
        }
        try {
            change.run();
        } finally {
            changing.unlock();
        }
    }

    private void bringIn() {
        if (!isEmpty()) {
            throw new ConflictException(
                    "there are data of your own here, and the demo comes into an empty Syntoma only, because all of it goes"
                            + " when the demo is removed. Start one with ./syntoma demo");
        }
        clock.showDemo();
        DemoLog log = DemoLog.generate();
        transaction.executeWithoutResult(status -> {
            entities.persist(DemoMark.now());
            log.world()
                    .places()
                    .forEach(p -> campsites.number(p.name(), Double.toString(p.lat()), Double.toString(p.lon())));
            log.plans().forEach(p -> plans.plan(p.campsite(), p.name(), p.rounds()));
        });
        imports.importAll(new ByteArrayInputStream(log.csv().getBytes(StandardCharsets.UTF_8)));
        DemoLog.OngoingStay now = log.now();
        rig.load();
        standing.change(now.campsite(), now.setup(), now.carrier(), now.since());
        masts.takeCsv(DemoMasts.csv().getBytes(StandardCharsets.UTF_8));
        instruments.setUp();
    }

    /**
     * Puts the demo data away, with all that was added to them.
     *
     * @throws ConflictException when the log is a user's own
     */
    void putAway() {
        runAlone(this::takeOut);
    }

    private void takeOut() {
        if (!isShown()) {
            throw new ConflictException("this is your own log, and no demo; nothing was changed");
        }
        try {
            if (!turn.take(0)) {
                throw new ConflictException("an import is under way; remove the demo data when it is done");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ConflictException("Syntoma is stopping; nothing was changed");
        }
        try {
            emptying.empty();
            instruments.putAway();
            clock.showPresent();
        } finally {
            turn.give();
        }
    }
}

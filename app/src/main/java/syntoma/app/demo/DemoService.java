package syntoma.app.demo;

import jakarta.persistence.EntityManager;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.aim.MastFiles;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StandingService;
import syntoma.app.exchange.ImportService;
import syntoma.app.gear.GearService;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.LogClock;
import syntoma.app.setup.Setups;
import syntoma.app.store.Emptying;
import syntoma.app.store.Restored;
import syntoma.app.trial.Plans;
import syntoma.standin.DemoLog;
import syntoma.standin.DemoMasts;

/** The demo data: brought into an empty log, through the same services as a user's own, and put away as a whole. */
@Service
class DemoService {
    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final GearService gear;
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

    DemoService(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            GearService gear,
            ImportService imports,
            Plans plans,
            StandingService standing,
            DemoRigLoader rig,
            MastFiles masts,
            DemoInstruments instruments,
            IntakeTurn turn,
            Emptying emptying,
            LogClock clock,
            PlatformTransactionManager manager) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.gear = gear;
        this.imports = imports;
        this.plans = plans;
        this.standing = standing;
        this.rig = rig;
        this.masts = masts;
        this.instruments = instruments;
        this.turn = turn;
        this.emptying = emptying;
        this.clock = clock;
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
    @EventListener(Restored.class)
    public void restored() {
        if (!isShown()) {
            instruments.putAway();
            clock.showPresent();
        }
    }

    /** Whether nothing was entered or logged yet. */
    boolean isEmpty() {
        return campsites.all().isEmpty() && setups.all().isEmpty() && gear.all().isEmpty();
    }

    /**
     * Brings the demo data in.
     *
     * @throws Conflict when there is anything of a user's own
     */
    void show() {
        if (!isEmpty()) {
            throw new Conflict(
                    "there is something of your own in the log or the rig; the demo comes into an empty one only");
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
        DemoLog.Now now = log.now();
        standing.change(now.campsite(), now.setup(), now.carrier(), now.since());
        rig.load();
        masts.takeCsv(DemoMasts.csv().getBytes(StandardCharsets.UTF_8));
        instruments.setUp();
    }

    /**
     * Puts the demo data away, with all that was added to them.
     *
     * @throws Conflict when the log is a user's own
     */
    void putAway() throws InterruptedException {
        if (!isShown()) {
            throw new Conflict("this is your own log, and no demo; nothing was changed");
        }
        if (!turn.take(0)) {
            throw new Conflict("an import is under way; put the demo away when it is done");
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

package syntoma.app.demo;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import syntoma.app.logbook.ImportService;
import syntoma.app.logbook.Logbook;
import syntoma.app.logbook.StandingService;
import syntoma.app.trial.TrialService;
import syntoma.standin.DemoLog;

/** Fills an empty log with the demo data, through the same services as a user's own. */
@Component
class DemoLoader implements ApplicationRunner {
    private final Logbook logbook;
    private final ImportService imports;
    private final TrialService trials;
    private final StandingService standing;
    private final DemoRigLoader rig;
    private final boolean wanted;

    DemoLoader(
            Logbook logbook,
            ImportService imports,
            TrialService trials,
            StandingService standing,
            DemoRigLoader rig,
            @Value("${syntoma.demo}") boolean wanted) {
        this.logbook = logbook;
        this.imports = imports;
        this.trials = trials;
        this.standing = standing;
        this.rig = rig;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted || !logbook.campsites().isEmpty()) {
            return;
        }
        DemoLog log = DemoLog.generate();
        log.world()
                .places()
                .forEach(p -> logbook.addCampsite(p.name(), Double.toString(p.lat()), Double.toString(p.lon())));
        log.plans().forEach(p -> trials.plan(p.campsite(), p.name(), p.rounds()));
        imports.importAll(new ByteArrayInputStream(log.csv().getBytes(StandardCharsets.UTF_8)));
        DemoLog.Now now = log.now();
        standing.change(now.campsite(), now.setup(), now.carrier(), now.since());
        rig.load();
    }
}

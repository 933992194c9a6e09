package syntoma.app.demo;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StandingService;
import syntoma.app.exchange.ImportService;
import syntoma.app.trial.Plans;
import syntoma.standin.DemoLog;

/** Fills an empty log with the demo data, through the same services as a user's own. */
@Component
class DemoLoader implements ApplicationRunner {
    private final Campsites campsites;
    private final ImportService imports;
    private final Plans plans;
    private final StandingService standing;
    private final DemoRigLoader rig;
    private final boolean wanted;

    DemoLoader(
            Campsites campsites,
            ImportService imports,
            Plans plans,
            StandingService standing,
            DemoRigLoader rig,
            @Value("${syntoma.demo}") boolean wanted) {
        this.campsites = campsites;
        this.imports = imports;
        this.plans = plans;
        this.standing = standing;
        this.rig = rig;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted || !campsites.all().isEmpty()) {
            return;
        }
        DemoLog log = DemoLog.generate();
        log.world()
                .places()
                .forEach(p -> campsites.number(p.name(), Double.toString(p.lat()), Double.toString(p.lon())));
        log.plans().forEach(p -> plans.plan(p.campsite(), p.name(), p.rounds()));
        imports.importAll(new ByteArrayInputStream(log.csv().getBytes(StandardCharsets.UTF_8)));
        DemoLog.Now now = log.now();
        standing.change(now.campsite(), now.setup(), now.carrier(), now.since());
        rig.load();
    }
}

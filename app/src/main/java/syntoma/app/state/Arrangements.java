package syntoma.app.state;

import java.util.Map;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.core.state.Arrangement;

/** What has to be where for each setup, from its parts in Gear. */
@Component
class Arrangements {
    private final SetupService setups;
    private final FitService fits;

    Arrangements(SetupService setups, FitService fits) {
        this.setups = setups;
        this.fits = fits;
    }

    Arrangement of(SetupName setup, @Nullable String carrier) {
        String on = carrier == null ? "" : carrier;
        Map<Long, SetupService.PlannedSetup> plans = setups.plans();
        SetupService.PlannedSetup planned = plans.get(setup.id());
        return planned == null || planned.plan().device() == null
                ? Arrangement.ofUnknown(setup.name(), on)
                : Arrangement.of(
                        setup.name(),
                        on,
                        FitService.fit(planned.plan(), fits.ground()).chain());
    }
}

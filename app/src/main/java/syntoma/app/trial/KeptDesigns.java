package syntoma.app.trial;

import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.setup.SetupName;
import syntoma.app.state.RigStates;

/** Keeps designs before their first measurement. */
@Service
@Transactional
class KeptDesigns {
    private final Designs designs;
    private final Plans plans;
    private final Sheets sheets;
    private final RigStates states;

    KeptDesigns(Designs designs, Plans plans, Sheets sheets, RigStates states) {
        this.designs = designs;
        this.plans = plans;
        this.sheets = sheets;
        this.states = states;
    }

    /** Keeps a trial as it is designed; what it changes about setups becomes setups of their own. */
    SheetView keep(String campsite, String name, DesignRequest asked) {
        DesignView design = designs.design(asked);
        List<SetupName> names = designs.settle(asked);
        plans.plan(campsite, name, design, asked, names, states.currentText());
        return sheets.of(campsite, name);
    }
}

package syntoma.app.trial;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.Register;

/** Trials as they are designed, and their run sheets. */
@RestController
@RequestMapping("/api/trials")
class DesignController {
    private final Designs designs;
    private final Plans plans;
    private final Sheets sheets;

    DesignController(Designs designs, Plans plans, Sheets sheets) {
        this.designs = designs;
        this.plans = plans;
        this.sheets = sheets;
    }

    /** A trial to be kept as it is designed. */
    record DesignedRequest(@Nullable String campsite, @Nullable String name, @Nullable DesignRequest design) {}

    /** What a trial would take and could show; keeps nothing. */
    @PostMapping("/design")
    DesignView design(@RequestBody DesignRequest asked) {
        return designs.design(asked);
    }

    /** Keeps a trial as it is designed, before its first measurement. */
    @PostMapping("/designed")
    @ResponseStatus(HttpStatus.CREATED)
    Sheets.SheetView keepDesigned(@RequestBody DesignedRequest asked) {
        if (asked.campsite() == null) {
            throw new InvalidInput("campsite", "campsite is missing; a trial is made at one");
        }
        if (asked.design() == null) {
            throw new InvalidInput("design", "design is missing");
        }
        String name = Register.name("name", asked.name());
        DesignView design = designs.design(asked.design());
        plans.plan(asked.campsite(), name, design, asked.design());
        return sheets.of(asked.campsite(), name);
    }

    /** The designed trials that are not made yet, the latest first. */
    @GetMapping("/sheets")
    List<Sheets.SheetRow> sheets() {
        return sheets.open();
    }

    /** How far a designed trial is, and what comes next. */
    @GetMapping("/sheet")
    Sheets.SheetView sheet(@RequestParam String campsite, @RequestParam String trial) {
        return sheets.of(campsite, trial);
    }
}

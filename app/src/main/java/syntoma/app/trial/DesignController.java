package syntoma.app.trial;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Register;

/** Trials as they are designed, and their run sheets. */
@RestController
@RequestMapping("/api/trials")
class DesignController {
    private final Designs designs;
    private final Templates templates;
    private final KeptDesigns kept;

    DesignController(Designs designs, Templates templates, KeptDesigns kept) {
        this.designs = designs;
        this.templates = templates;
        this.kept = kept;
    }

    /** A trial to be kept as it is designed. */
    record DesignedRequest(@Nullable String campsite, @Nullable String name, @Nullable DesignRequest design) {}

    /** Trials that are made again and again, filled in from what is on board. */
    @GetMapping("/templates")
    List<Templates.TemplateView> templates() {
        return templates.all();
    }

    /** What can be chosen of a trial, and what is usual. */
    @GetMapping("/choices")
    PlanChoices choices() {
        return PlanChoices.all();
    }

    /** What a trial would take and could show; keeps nothing. */
    @PostMapping("/design")
    DesignView design(@RequestBody DesignRequest asked) {
        return designs.design(asked);
    }

    /** Keeps a trial as it is designed, before its first measurement. */
    @PostMapping("/designed")
    @ResponseStatus(HttpStatus.CREATED)
    SheetView keepDesigned(@RequestBody DesignedRequest asked) {
        if (asked.campsite() == null) {
            throw new InvalidInputException("campsite", "campsite is missing; a trial is made at one");
        }
        if (asked.design() == null) {
            throw new InvalidInputException("design", "design is missing");
        }
        String name = Register.name("name", asked.name());
        return kept.keep(asked.campsite(), name, asked.design());
    }
}

package syntoma.app.history;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;

/** What was changed of the log, and undoing it. */
@RestController
@RequestMapping("/api/changes")
class JournalController {
    private static final int MOST_LISTED = 2_000;

    private final Journal journal;

    JournalController(Journal journal) {
        this.journal = journal;
    }

    @GetMapping
    List<Journal.EntryView> changes(@RequestParam(defaultValue = "500") int limit) {
        if (limit < 1 || limit > MOST_LISTED) {
            throw new InvalidInputException("limit", "limit is " + limit + "; allowed is 1 to " + MOST_LISTED);
        }
        return journal.latest(limit);
    }

    @PostMapping("/{id}/undo")
    Journal.EntryView undo(@PathVariable long id) {
        return journal.undo(id);
    }
}

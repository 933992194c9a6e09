package syntoma.app.find;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/** Finds by a word. */
@RestController
class FindController {
    private static final int LONGEST = 120;

    private final FindService find;

    FindController(FindService find) {
        this.find = find;
    }

    @GetMapping("/api/find")
    FindService.FindView find(@RequestParam String text) {
        return find.by(InvalidInputException.naming("text", () -> Text.name("text", text, LONGEST)));
    }
}

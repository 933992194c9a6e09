package syntoma.app.walk;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Walks with an antenna in hand. Each answer is the walk on the metric that is asked for, rsrp or sinr. */
@RestController
@RequestMapping("/api/walks")
class WalkController {
    private final Walks walks;

    WalkController(Walks walks) {
        this.walks = walks;
    }

    @GetMapping
    List<Walks.WalkLine> latest() {
        return walks.latest();
    }

    /** Begins one; one at a time. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    WalkView begin(@RequestParam(defaultValue = "rsrp") String metric) {
        return walks.begin(WalkMetric.ofKey(metric));
    }

    @GetMapping("/{id}")
    WalkView walk(@PathVariable long id, @RequestParam(defaultValue = "rsrp") String metric) {
        return walks.view(id, WalkMetric.ofKey(metric));
    }

    /** Marks the level of now, or of when it was held, under a word for the place. */
    @PostMapping("/{id}/marks")
    @ResponseStatus(HttpStatus.CREATED)
    WalkView mark(
            @PathVariable long id,
            @RequestBody Walks.MarkRequest asked,
            @RequestParam(defaultValue = "rsrp") String metric) {
        return walks.mark(id, asked, WalkMetric.ofKey(metric));
    }

    /** Takes a mark back. */
    @DeleteMapping("/{id}/marks/{mark}")
    WalkView remove(
            @PathVariable long id, @PathVariable long mark, @RequestParam(defaultValue = "rsrp") String metric) {
        return walks.remove(id, mark, true, WalkMetric.ofKey(metric));
    }

    /** Puts a mark back that was taken back. */
    @PostMapping("/{id}/marks/{mark}/restore")
    WalkView restore(
            @PathVariable long id, @PathVariable long mark, @RequestParam(defaultValue = "rsrp") String metric) {
        return walks.remove(id, mark, false, WalkMetric.ofKey(metric));
    }

    /** Ends it, and says which places differ. */
    @PostMapping("/{id}/end")
    WalkView end(@PathVariable long id, @RequestParam(defaultValue = "rsrp") String metric) {
        return walks.end(id, WalkMetric.ofKey(metric));
    }
}

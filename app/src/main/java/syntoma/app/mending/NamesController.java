package syntoma.app.mending;

import io.swagger.v3.oas.annotations.media.Schema;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Names of campsites, setups and carriers: renamed, merged, known by another name too, and asked about where two are close. */
@RestController
@RequestMapping("/api/names/{kind}")
class NamesController {
    private final NamesService names;

    NamesController(NamesService names) {
        this.names = names;
    }

    /** Another name. */
    @Schema(name = "NameRequest")
    record NewName(String name) {}

    /** Which one is to stand for this. */
    @Schema(name = "MergeRequest")
    record Merge(long into) {}

    /** A known name that another is close to; null where there is none. */
    record SimilarName(@Nullable String name) {}

    @PutMapping("/{id}")
    NamesService.ChangeNumber rename(@PathVariable String kind, @PathVariable long id, @RequestBody NewName request) {
        return names.rename(NameKind.of(kind), id, request.name());
    }

    /** What merging would move; nothing is changed. */
    @PostMapping("/{id}/merge/preview")
    NamesService.MergeOutcome preview(@PathVariable String kind, @PathVariable long id, @RequestBody Merge request) {
        return names.preview(NameKind.of(kind), id, request.into());
    }

    @PostMapping("/{id}/merge")
    NamesService.MergeOutcome merge(@PathVariable String kind, @PathVariable long id, @RequestBody Merge request) {
        return names.merge(NameKind.of(kind), id, request.into());
    }

    /** A name that is not known is another one of a thing that is. */
    @PutMapping("/also")
    NamesService.ChangeNumber addAlias(
            @PathVariable String kind, @RequestParam String known, @RequestBody NewName request) {
        return names.addAlias(NameKind.of(kind), known, request.name());
    }

    @GetMapping("/close")
    SimilarName close(@PathVariable String kind, @RequestParam String name) {
        return new SimilarName(names.close(NameKind.of(kind), name).orElse(null));
    }
}

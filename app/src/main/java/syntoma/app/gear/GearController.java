package syntoma.app.gear;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.gear.GearService.GearImport;
import syntoma.app.gear.GearService.GearRequest;
import syntoma.app.gear.GearService.SheetChange;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/** The gear shelf: listed, changed, taken in and given out. */
@RestController
@RequestMapping("/api")
class GearController {
    private static final String FORMAT = "syntoma-gear-1";
    private static final int MOST_ITEMS = 5_000;

    private final GearService gear;
    private final SheetTexts texts;

    GearController(GearService gear, SheetTexts texts) {
        this.gear = gear;
        this.texts = texts;
    }

    /** The data sheet of a kind of gear. */
    record SheetFormView(String kind, List<SheetField> fields) {}

    /** The data sheets of all kinds, and the states that gear can be in. */
    record GearFormsView(List<SheetFormView> forms, List<String> states) {}

    /** A file of gear. */
    record GearFileRequest(String format, List<GearRequest> gear) {}

    @GetMapping("/gear/forms")
    GearFormsView forms() {
        return new GearFormsView(
                Arrays.stream(GearKind.values())
                        .map(kind -> new SheetFormView(kind.label(), SheetForms.of(kind)))
                        .toList(),
                GearItem.STATES);
    }

    /** What a pasted data sheet says; nothing is kept. */
    @PostMapping("/gear/sheet-text")
    SheetTexts.SheetTextView sheetText(@RequestBody SheetTexts.SheetTextRequest request) {
        return texts.read(request);
    }

    @GetMapping("/gear")
    List<GearItem> all() {
        return gear.all();
    }

    @PostMapping("/gear")
    @ResponseStatus(HttpStatus.CREATED)
    GearItem add(@RequestBody GearRequest request) {
        return gear.add(request);
    }

    @PutMapping("/gear/{id}")
    GearItem change(
            @PathVariable long id,
            @RequestBody GearRequest request,
            @RequestParam(required = false) Integer version,
            @RequestParam(required = false) String as) {
        Optional<SheetChange> meant = Optional.ofNullable(as)
                .map(text -> InvalidInputException.naming("as", () -> SheetChange.fromLabel(text)));
        return gear.change(id, request, version, meant);
    }

    @DeleteMapping("/gear/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@PathVariable long id) {
        gear.delete(id);
    }

    @GetMapping("/gear.json")
    GearFileRequest give() {
        return new GearFileRequest(
                FORMAT,
                gear.all().stream()
                        .map(g -> new GearRequest(g.kind(), g.name(), g.state(), g.price(), g.sheet()))
                        .toList());
    }

    @PostMapping("/gear/import")
    GearImport takeIn(@RequestBody GearFileRequest file) {
        if (!FORMAT.equals(file.format())) {
            throw new InvalidInputException(
                    "format", "format is " + Text.quote(file.format()) + "; allowed is " + FORMAT);
        }
        if (file.gear() == null) {
            throw new InvalidInputException("gear", "gear is missing; give the list of items");
        }
        if (file.gear().size() > MOST_ITEMS) {
            throw new InvalidInputException(
                    "gear", "the file has " + file.gear().size() + " items; allowed are up to " + MOST_ITEMS);
        }
        return gear.takeIn(file.gear());
    }
}

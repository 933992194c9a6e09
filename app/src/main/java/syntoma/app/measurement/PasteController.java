package syntoma.app.measurement;

import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.http.MediaType;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.need.Carriers;
import syntoma.core.statustext.StatusText;

/** Turns what a person pastes into a measurement that can be logged; keeps nothing. */
@RestController
@RequestMapping("/api/measurements")
class PasteController {
    private final Carriers carriers;

    PasteController(Carriers carriers) {
        this.carriers = carriers;
    }

    /** What a text in UTF-8 says of a measurement, line by line, and what of it has to be asked. */
    @PostMapping(path = "/paste", consumes = MediaType.TEXT_PLAIN_VALUE)
    PasteView paste(@RequestBody(required = false) @Nullable byte[] text) {
        Set<String> known = carriers.numbers().keySet();
        return PasteView.of(
                StatusText.read(text == null ? "" : new String(text, StandardCharsets.UTF_8)), said -> known.stream()
                        .filter(name -> name.equalsIgnoreCase(said))
                        .findFirst()
                        .orElse(said));
    }
}

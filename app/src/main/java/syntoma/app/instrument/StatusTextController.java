package syntoma.app.instrument;

import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import syntoma.core.statustext.StatusText;

/** Reads what a person pastes; keeps nothing. */
@RestController
@RequestMapping("/api/status-text")
class StatusTextController {
    /** What a text of a router's page, a terminal or a speed test says, in UTF-8, and what of it is doubtful. */
    @PostMapping(path = "/parse", consumes = MediaType.TEXT_PLAIN_VALUE)
    StatusTextView parse(@RequestBody(required = false) @Nullable byte[] text) {
        return StatusTextView.of(StatusText.read(text == null ? "" : new String(text, StandardCharsets.UTF_8)));
    }
}

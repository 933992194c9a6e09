package syntoma.core.sentence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import syntoma.core.verdict.VerdictExamples;

/**
 * Keeps {@code docs/sentences.md}: all that the rules and the application say, room by room. Run with
 * {@code -Dsentences.write=true} to make it again; what is new in it is then to be read aloud.
 */
class SentencesPageTest {
    private static final Path PAGE = Path.of("../docs/sentences.md");

    /** Rooms that read texts from outside: of theirs only questions and remarks are said, the rest is what they look for. */
    private static final Set<String> READERS = Set.of("sheettext", "statustext", "tabletext", "reply");

    private static final Pattern REMARK = Pattern.compile("(?s).*(?:[.?;]|‹).*");

    private final StringBuilder page = new StringBuilder();

    @Test
    void every_sentence_stands_in_the_page_as_it_is_said() throws IOException {
        page.append("# All that Syntoma says\n\n")
                .append("Made by `SentencesPageTest` from the sources; do not edit by hand. A name between ‹ and › is"
                        + " filled in; of what stands in brackets with strokes one is said. Lengths, weights and"
                        + " temperatures are written in metric or imperial units. The words of the screens"
                        + " themselves stand in `ui/src`.\n");
        rooms("The rules", Path.of("src/main/java"));
        rooms("The application", Path.of("../app/src/main/java"));
        String examples = VerdictExamples.page();
        assertFalse(examples.contains("NaN") || examples.contains("null") || examples.contains("  "), examples);
        page.append("\n## A verdict, from comparisons of two made-up setups\n").append(examples);

        if (Boolean.getBoolean("sentences.write")) {
            Files.writeString(PAGE, page);
        }
        assertEquals(Files.readString(PAGE), page.toString(), "docs/sentences.md is not what is said; see this test");
    }

    private void rooms(String title, Path sources) throws IOException {
        page.append("\n## ").append(title).append('\n');
        Map<String, Set<String>> rooms = SourceSentences.of(sources);
        assertTrue(rooms.size() > 10, "rooms read: " + rooms.keySet());
        rooms.forEach((room, sentences) -> {
            sentences.removeIf(
                    said -> READERS.contains(room) && !REMARK.matcher(said).matches());
            if (!sentences.isEmpty()) {
                page.append("\n### ").append(room).append("\n\n");
                sentences.forEach(said -> page.append("- ").append(said).append('\n'));
            }
        });
    }
}

package syntoma.core.sentence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Keeps sentences and names of types to plain English, by the list in {@code docs/wording.txt}; ESLint keeps the interface to it. */
class WordingTest {
    private static final Path LIST = Path.of("../docs/wording.txt");
    private static final List<String> MODULES = List.of("core", "standin", "app", "e2e");

    /** A type that is declared; in a comment or a text the words before it are not these. */
    private static final Pattern TYPE =
            Pattern.compile("(?m)^ *(?:(?:public|private|protected|static|final|abstract|sealed) )*"
                    + "(?:class|record|interface|enum|@interface) (\\w+)");

    private record Word(Pattern pattern, String better) {}

    @Test
    void no_sentence_has_a_word_that_is_on_the_list() throws IOException {
        List<Word> words = words();
        List<String> faults = new ArrayList<>();
        for (String module : List.of("core", "app")) {
            SourceSentences.of(Path.of("..", module, "src/main/java")).forEach((room, sentences) -> {
                for (String said : sentences) {
                    words.stream()
                            .filter(word -> word.pattern.matcher(said).find())
                            .forEach(word -> faults.add(room + ": “" + said + "”; say " + word.better));
                }
            });
        }
        assertEquals("", String.join("\n", faults));
    }

    @Test
    void no_type_has_a_name_that_is_on_the_list() throws IOException {
        Set<String> names =
                lines("name: ").flatMap(line -> Arrays.stream(line.split(" "))).collect(Collectors.toSet());
        List<String> faults = new ArrayList<>();
        int types = 0;
        for (String module : MODULES) {
            for (Path file : files(Path.of("..", module, "src"))) {
                for (MatchResult type :
                        TYPE.matcher(Files.readString(file)).results().toList()) {
                    types++;
                    if (names.contains(type.group(1))) {
                        faults.add(file + ": " + type.group(1) + " is no noun that says what it is");
                    }
                }
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(types > 1_000, "types read: " + types);
    }

    /** A list that finds nothing keeps nothing. */
    @Test
    void the_list_finds_what_it_is_to_find() throws IOException {
        List<Word> words = words();
        for (String odd :
                List.of("the spread is reckoned", "Take it away", "38 times in 39", "Put the card of Brissa in")) {
            assertTrue(words.stream().anyMatch(word -> word.pattern.matcher(odd).find()), odd);
        }
    }

    private static List<Word> words() throws IOException {
        return lines("word: ")
                .map(line -> line.split(" => "))
                .map(parts -> new Word(Pattern.compile(parts[0], Pattern.CASE_INSENSITIVE), parts[1]))
                .toList();
    }

    private static Stream<String> lines(String kind) throws IOException {
        return Files.readAllLines(LIST).stream()
                .filter(line -> line.startsWith(kind))
                .map(line -> line.substring(kind.length()));
    }

    private static List<Path> files(Path directory) throws IOException {
        try (Stream<Path> all = Files.walk(directory)) {
            return all.filter(file -> file.toString().endsWith(".java")).toList();
        }
    }
}

package syntoma.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The pages of {@code docs/} and what points at them: links lead somewhere, and the glossary names what there is. */
class DocsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern LINK = Pattern.compile("\\]\\(([^)#\\s]*)(#[^)\\s]*)?\\)");
    private static final Pattern IN_SOURCES = Pattern.compile("docs/([\\w/-]+\\.md)(#[\\w-]+)?");
    private static final Pattern HEADING = Pattern.compile("(?m)^#+ (.*)$");

    @Test
    void every_link_of_a_page_leads_somewhere() throws IOException {
        List<String> faults = new ArrayList<>();
        int links = 0;
        List<Path> pages = new ArrayList<>(files(ROOT.resolve("docs"), ".md"));
        pages.add(ROOT.resolve("README.md"));
        for (Path page : pages) {
            for (MatchResult link : all(LINK, Files.readString(page))) {
                if (link.group(1).contains(":")) {
                    continue;
                }
                links++;
                Path to = link.group(1).isEmpty() ? page : page.resolveSibling(link.group(1));
                fault(to, link.group(2)).ifPresent(why -> faults.add(page + ": " + why));
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(links > 100, "links read: " + links);
    }

    @Test
    void every_page_that_a_comment_names_is_there() throws IOException {
        List<String> faults = new ArrayList<>();
        int named = 0;
        for (String module : List.of("core", "app", "standin", "e2e")) {
            for (Path file : files(ROOT.resolve(module).resolve("src"), ".java")) {
                for (MatchResult page : all(IN_SOURCES, Files.readString(file))) {
                    named++;
                    fault(ROOT.resolve("docs").resolve(page.group(1)), page.group(2))
                            .ifPresent(why -> faults.add(file + ": " + why));
                }
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(named > 40, "pages named: " + named);
    }

    @Test
    void the_glossary_names_classes_and_folders_that_there_are() throws IOException {
        List<String> missing = new ArrayList<>();
        List<String> rows = Files.readAllLines(ROOT.resolve("docs/glossary.md")).stream()
                .filter(line -> line.startsWith("| ") && !line.startsWith("| word"))
                .toList();
        for (String row : rows) {
            String[] cells = row.split(" ?\\| ?");
            missing(cells[3], "core/src/main/java/syntoma/core/", ".java").ifPresent(missing::add);
            missing(cells[4], "app/src/main/java/syntoma/app/", ".java").ifPresent(missing::add);
            missing(cells[5], "ui/src/", "").ifPresent(missing::add);
        }
        assertEquals("", String.join("\n", missing));
        assertTrue(rows.size() >= 50, "words: " + rows.size());
    }

    private static Optional<String> missing(String cell, String where, String suffix) {
        String name = cell.replace("`", "").replace('.', '/');
        return name.equals("–") || Files.exists(ROOT.resolve(where + name + suffix))
                ? Optional.empty()
                : Optional.of(where + name + suffix);
    }

    private static Optional<String> fault(Path page, String anchor) throws IOException {
        if (!Files.exists(page)) {
            return Optional.of(page + " is not there");
        }
        return anchor == null || anchors(page).contains(anchor.substring(1))
                ? Optional.empty()
                : Optional.of(page + " has no " + anchor);
    }

    /** The anchors that a page's headings make. */
    private static Set<String> anchors(Path page) throws IOException {
        return all(HEADING, Files.readString(page)).stream()
                .map(heading -> heading.group(1)
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N} -]", "")
                        .strip()
                        .replace(' ', '-'))
                .collect(Collectors.toSet());
    }

    private static List<MatchResult> all(Pattern pattern, String text) {
        return pattern.matcher(text).results().toList();
    }

    private static List<Path> files(Path directory, String suffix) throws IOException {
        try (Stream<Path> all = Files.walk(directory)) {
            return all.filter(file -> file.toString().endsWith(suffix)).sorted().toList();
        }
    }
}

package syntoma.core;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import jdk.jshell.JShell;
import jdk.jshell.Snippet;
import jdk.jshell.SnippetEvent;
import jdk.jshell.execution.LocalExecutionControlProvider;
import org.junit.jupiter.api.Test;

/**
 * The examples in the comments of the rules: each line is run, and what stands after its two strokes is what it gives, a number to as
 * many decimals as are written. Every public class that calculates a number has one.
 */
class ExamplesTest {
    private static final Path SOURCES = Path.of("src/main/java");
    private static final Pattern BLOCK = Pattern.compile("<pre>\\{@code\\n(.*?)\\}</pre>", Pattern.DOTALL);
    private static final Pattern LINE = Pattern.compile("\\s*\\*\\s(.*?)(?:\\s*// (.*))?");
    private static final Set<String> NUMBERS =
            Set.of("double", "int", "long", "OptionalDouble", "OptionalInt", "Optional<Double>", "double[]");

    @Test
    void every_example_gives_what_it_says() throws IOException {
        List<String> faults = new ArrayList<>();
        int run = 0;
        for (Path file : files()) {
            Matcher block = BLOCK.matcher(Files.readString(file));
            while (block.find()) {
                run += check(file, block.group(1), faults);
            }
        }
        assertEquals("", String.join("\n", faults));
        assertTrue(run > 50, "lines run: " + run);
    }

    /** Runs the lines of one example beside the class that it is of; how many there are. */
    private static int check(Path file, String example, List<String> faults) {
        int run = 0;
        try (JShell shell = JShell.builder()
                .executionEngine(new LocalExecutionControlProvider(), Map.of())
                .build()) {
            shell.eval("import java.util.*;");
            shell.eval("import " + packageOf(file) + ".*;");
            String code = "";
            for (String line : example.split("\n")) {
                Matcher read = LINE.matcher(line);
                if (!read.matches()) {
                    continue;
                }
                code += read.group(1) + "\n";
                if (shell.sourceCodeAnalysis()
                        .analyzeCompletion(code)
                        .completeness()
                        .isComplete()) {
                    run++;
                    fault(shell, code.strip(), read.group(2))
                            .ifPresent(why -> faults.add(file.getFileName() + ": " + why));
                    code = "";
                }
            }
            if (!code.isBlank()) {
                faults.add(file.getFileName() + ": " + code.strip() + " does not end");
            }
        }
        return run;
    }

    @Test
    void every_public_class_that_calculates_a_number_has_one() throws IOException {
        List<String> without = new ArrayList<>();
        for (CompilationUnitTree unit : parsed()) {
            Path file = Path.of(unit.getSourceFile().toUri());
            if (calculates(unit) && !BLOCK.matcher(Files.readString(file)).find()) {
                without.add(file.getFileName().toString());
            }
        }
        assertEquals("", String.join("\n", without));
    }

    /** What is wrong with a line; empty where it gives what it says, or says nothing. */
    private static Optional<String> fault(JShell shell, String code, String said) {
        List<SnippetEvent> events = shell.eval(code);
        SnippetEvent last = events.get(events.size() - 1);
        if (last.status() != Snippet.Status.VALID || last.exception() != null) {
            return Optional.of(code + " does not run: "
                    + (last.exception() == null
                            ? shell.diagnostics(last.snippet())
                                    .map(d -> d.getMessage(Locale.ROOT))
                                    .toList()
                            : last.exception().getMessage()));
        }
        String given = last.value() == null ? "" : last.value().replaceAll("^\"|\"$", "");
        return said == null || given.equals(said) || rounds(given, said)
                ? Optional.empty()
                : Optional.of(code + " gives " + given + ", not " + said);
    }

    /** Whether a number, or one in an optional, is another to as many decimals as that has. */
    private static boolean rounds(String given, String said) {
        Pattern number = Pattern.compile("(?:Optional(?:Double|Int)?\\[)?(-?[0-9.]+(?:E-?[0-9]+)?)\\]?");
        Matcher got = number.matcher(given);
        if (!got.matches() || !said.replace('−', '-').matches("-?[0-9]+(?:\\.[0-9]+)?")) {
            return false;
        }
        int decimals = said.contains(".") ? said.length() - said.indexOf('.') - 1 : 0;
        return String.format(Locale.ROOT, "%." + decimals + "f", Double.parseDouble(got.group(1)))
                .equals(said.replace('−', '-'));
    }

    private static boolean calculates(CompilationUnitTree unit) {
        return unit.getTypeDecls().stream()
                .filter(ClassTree.class::isInstance)
                .map(ClassTree.class::cast)
                .filter(type -> type.getModifiers().getFlags().contains(Modifier.PUBLIC))
                .flatMap(type -> type.getMembers().stream())
                .filter(MethodTree.class::isInstance)
                .map(MethodTree.class::cast)
                .filter(method -> method.getModifiers().getFlags().contains(Modifier.PUBLIC))
                .filter(method -> method.getReturnType() != null
                        && NUMBERS.contains(method.getReturnType().toString()))
                .anyMatch(ExamplesTest::hasArithmetic);
    }

    private static boolean hasArithmetic(MethodTree method) {
        AtomicBoolean found = new AtomicBoolean();
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitBinary(BinaryTree binary, Void nothing) {
                if (Set.of(Tree.Kind.MULTIPLY, Tree.Kind.DIVIDE).contains(binary.getKind())) {
                    found.set(true);
                }
                return super.visitBinary(binary, nothing);
            }

            @Override
            public Void visitMemberSelect(MemberSelectTree member, Void nothing) {
                if (Set.of("Math.log10", "Math.pow", "Math.sqrt", "Math.exp", "Math.log")
                        .contains(member.toString())) {
                    found.set(true);
                }
                return super.visitMemberSelect(member, nothing);
            }
        }.scan(method, null);
        return found.get();
    }

    private static List<Path> files() throws IOException {
        try (Stream<Path> all = Files.walk(SOURCES)) {
            return all.filter(file -> file.toString().endsWith(".java"))
                    .sorted()
                    .toList();
        }
    }

    private static Iterable<? extends CompilationUnitTree> parsed() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        StandardJavaFileManager manager = compiler.getStandardFileManager(null, Locale.ROOT, null);
        return ((JavacTask) compiler.getTask(
                        null, manager, null, List.of(), null, manager.getJavaFileObjectsFromPaths(files())))
                .parse();
    }

    private static String packageOf(Path file) {
        return SOURCES.relativize(file.getParent()).toString().replace('/', '.');
    }
}

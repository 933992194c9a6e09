package syntoma.core.sentence;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * Every sentence that stands in the sources of some rooms, as a template: what differs from case to case is a name between ‹ and ›,
 * and what is chosen between stands in brackets with a stroke. Read by the compiler itself, so that none is forgotten.
 */
final class SourceSentences {
    /** Three words or more: labels and symbols are no sentences. */
    private static final Pattern SENTENCE = Pattern.compile("(?:\\p{L}{2,}.*?[ ›]){2}.*?\\p{L}{2,}", Pattern.DOTALL);

    /** What a program reads: queries, expressions, pages and styles. */
    private static final Pattern UNREAD = Pattern.compile(
            "^(?:select|insert|update|delete from|alter|set referential|from \\p{Lu}|where|[ms]\\.|<|body\\{|script|runscript).*"
                    + "|.*(?:\\(\\?:|</|<svg|\\\\p|information_schema|\\{\").*",
            Pattern.DOTALL);

    /** Calls whose texts nobody reads: patterns, queries and what is looked for in a text from outside. */
    private static final Set<String> UNSAID = Set.of(
            "compile",
            "matches",
            "replaceAll",
            "split",
            "createQuery",
            "createNativeQuery",
            "says",
            "contains",
            "startsWith",
            "endsWith",
            "equals",
            "indexOf",
            "replace",
            "requireNonNull");

    /** Members that do not say what they are of. */
    private static final Set<String> UNNAMING = Set.of(
            "name",
            "label",
            "says",
            "orElse",
            "orElseThrow",
            "get",
            "getAsDouble",
            "getAsInt",
            "map",
            "word",
            "words",
            "toString",
            "toList",
            "collect",
            "sentence",
            "text",
            "describe",
            "of");

    /** Methods that say what they are given: their argument says more than they do. */
    private static final Set<String> PHRASING = Set.of("format", "round", "describe", "sentence", "text", "abs");

    private SourceSentences() {}

    /** The sentences of each room, by its name, in the order in which they stand. */
    static Map<String, Set<String>> of(Path sources) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<Path> files;
        try (Stream<Path> all = Files.walk(sources)) {
            files = all.filter(file -> file.toString().endsWith(".java"))
                    .sorted()
                    .toList();
        }
        Map<String, Set<String>> rooms = new TreeMap<>();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, Locale.ROOT, null)) {
            JavacTask task = (JavacTask)
                    compiler.getTask(null, manager, null, List.of(), null, manager.getJavaFileObjectsFromPaths(files));
            for (var unit : task.parse()) {
                String name = unit.getPackageName().toString();
                Finder finder = new Finder();
                unit.accept(finder, null);
                rooms.computeIfAbsent(name.substring(name.lastIndexOf('.') + 1), room -> new LinkedHashSet<>())
                        .addAll(finder.found);
            }
        }
        return rooms;
    }

    private static final class Finder extends TreeScanner<Void, Void> {
        private final List<String> found = new ArrayList<>();

        private Void whole(ExpressionTree expression) {
            String text = template(expression).replaceAll("\\s+", " ").strip();
            if (SENTENCE.matcher(text).find() && !UNREAD.matcher(text).matches()) {
                found.add(text);
            }
            return null;
        }

        @Override
        public Void visitAnnotation(AnnotationTree annotation, Void nothing) {
            return null;
        }

        @Override
        public Void visitLiteral(LiteralTree literal, Void nothing) {
            return whole(literal);
        }

        @Override
        public Void visitBinary(BinaryTree binary, Void nothing) {
            return isText(binary) ? whole(binary) : super.visitBinary(binary, nothing);
        }

        @Override
        public Void visitMethodInvocation(MethodInvocationTree call, Void nothing) {
            String name = nameOf(call.getMethodSelect());
            if (isSentence(call)) {
                return whole(call);
            }
            return UNSAID.contains(name)
                    ? scan(call.getMethodSelect(), nothing)
                    : super.visitMethodInvocation(call, nothing);
        }
    }

    private static boolean isSentence(MethodInvocationTree call) {
        return call.getMethodSelect().toString().equals("Sentence.of");
    }

    /** Whether something is text that is put together. */
    private static boolean isText(Tree tree) {
        if (tree instanceof ParenthesizedTree inner) {
            return isText(inner.getExpression());
        }
        if (tree instanceof ConditionalExpressionTree either) {
            return isText(either.getTrueExpression()) || isText(either.getFalseExpression());
        }
        return tree instanceof LiteralTree literal && literal.getValue() instanceof String
                || tree instanceof MethodInvocationTree call && isSentence(call)
                || tree instanceof BinaryTree binary
                        && binary.getKind() == Tree.Kind.PLUS
                        && (isText(binary.getLeftOperand()) || isText(binary.getRightOperand()));
    }

    private static String template(Tree tree) {
        if (tree instanceof ParenthesizedTree inner) {
            return template(inner.getExpression());
        }
        if (tree instanceof LiteralTree literal) {
            return literal.getValue() instanceof String text ? text : String.valueOf(literal.getValue());
        }
        if (tree instanceof BinaryTree binary && isText(binary)) {
            return template(binary.getLeftOperand()) + template(binary.getRightOperand());
        }
        if (tree instanceof ConditionalExpressionTree either) {
            String first = template(either.getTrueExpression());
            String second = template(either.getFalseExpression());
            return second.isEmpty()
                    ? "[" + first + "]"
                    : first.isEmpty() ? "[" + second + "]" : "[" + first + "|" + second + "]";
        }
        if (tree instanceof MethodInvocationTree call) {
            return called(call);
        }
        return "‹" + words(nameOf(tree)) + "›";
    }

    private static String called(MethodInvocationTree call) {
        List<? extends ExpressionTree> arguments = call.getArguments();
        String method = call.getMethodSelect().toString();
        if (isSentence(call)) {
            return arguments.stream().map(SourceSentences::template).collect(Collectors.joining());
        }
        if (method.startsWith("Quantity.")) {
            return "‹" + words(nameOf(call.getMethodSelect())) + "›";
        }
        boolean isFormat = method.startsWith("Values.")
                || method.startsWith("Text.")
                || method.startsWith("Words.")
                || PHRASING.contains(method.substring(method.lastIndexOf('.') + 1));
        return isFormat && !arguments.isEmpty()
                ? "‹" + words(nameOf(arguments.get(0))) + "›"
                : "‹" + words(nameOf(call)) + "›";
    }

    /** What an expression is called: the last name in it that says something. */
    private static String nameOf(Tree tree) {
        if (tree instanceof IdentifierTree name) {
            return name.getName().toString();
        }
        if (tree instanceof MemberSelectTree member) {
            String own = member.getIdentifier().toString();
            return UNNAMING.contains(own) ? nameOf(member.getExpression()) : own;
        }
        if (tree instanceof MethodInvocationTree call) {
            String name = nameOf(call.getMethodSelect());
            boolean joins = call.getMethodSelect().toString().matches("(String\\.join|Sentence\\.join|.*collect)");
            return joins && call.getArguments().size() > 1
                    ? nameOf(call.getArguments().get(1))
                    : name;
        }
        if (tree instanceof BinaryTree binary) {
            return nameOf(binary.getLeftOperand()) + " " + nameOf(binary.getRightOperand());
        }
        if (tree instanceof ParenthesizedTree inner) {
            return nameOf(inner.getExpression());
        }
        if (tree instanceof LiteralTree literal) {
            return String.valueOf(literal.getValue());
        }
        return tree instanceof LambdaExpressionTree || tree instanceof MemberReferenceTree ? "" : "…";
    }

    /** minDb, MIN_DB and minDb() as words. */
    private static String words(String name) {
        return name.replaceAll("(?<=[a-z])(?=[A-Z])", " ")
                .replace('_', ' ')
                .toLowerCase(Locale.ROOT)
                .strip();
    }
}

package syntoma.core.jobsheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jgrapht.alg.cycle.HawickJamesSimpleCycles;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.traverse.TopologicalOrderIterator;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** Tasks with what comes before what: an order exists, and every task that is named is there. */
public final class TaskList {
    private static final int MOST = 200;

    private final List<Task> inOrder;
    private final Map<String, Task> byKey;
    private final DefaultDirectedGraph<String, DefaultEdge> graph;

    private TaskList(List<Task> inOrder, Map<String, Task> byKey, DefaultDirectedGraph<String, DefaultEdge> graph) {
        this.inOrder = inOrder;
        this.byKey = byKey;
        this.graph = graph;
    }

    /**
     * The tasks in an order in which each can be done; of those that can be done next the one that was given first.
     *
     * @throws IllegalArgumentException naming the tasks that wait for each other, or one that is named and missing
     */
    public static TaskList of(List<Task> tasks) {
        Values.within("tasks", tasks.size(), 1, MOST, "");
        Map<String, Task> byKey = new LinkedHashMap<>();
        DefaultDirectedGraph<String, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
        for (Task task : tasks) {
            if (byKey.put(task.key(), task) != null) {
                throw new IllegalArgumentException("there are two tasks " + task.key());
            }
            graph.addVertex(task.key());
        }
        for (Task task : tasks) {
            for (String before : task.after()) {
                if (!byKey.containsKey(before)) {
                    throw new IllegalArgumentException(
                            task.name() + " comes after " + before + ", which is not on the sheet");
                }
                if (before.equals(task.key())) {
                    throw new IllegalArgumentException(task.name() + " waits for itself");
                }
                graph.addEdge(before, task.key());
            }
        }
        List<List<String>> cycles = new HawickJamesSimpleCycles<>(graph).findSimpleCycles();
        if (!cycles.isEmpty()) {
            List<Sentence> names =
                    cycles.get(0).stream().map(key -> byKey.get(key).name()).toList();
            throw new IllegalArgumentException("these wait for each other: " + Sentence.join(", ", names));
        }
        List<String> given = List.copyOf(byKey.keySet());
        List<Task> inOrder = new ArrayList<>();
        new TopologicalOrderIterator<>(graph, (a, b) -> Integer.compare(given.indexOf(a), given.indexOf(b)))
                .forEachRemaining(key -> inOrder.add(byKey.get(key)));
        return new TaskList(List.copyOf(inOrder), byKey, graph);
    }

    public List<Task> inOrder() {
        return inOrder;
    }

    /** The task of a key; empty where there is none. */
    public Optional<Task> find(String key) {
        return Optional.ofNullable(byKey.get(key));
    }

    /** Those that come directly before a task. */
    public List<Task> before(Task task) {
        return inOrder.stream().filter(t -> task.after().contains(t.key())).toList();
    }

    /** Those that rest directly on a task. */
    public List<Task> restingOn(Task task) {
        return inOrder.stream().filter(t -> t.after().contains(task.key())).toList();
    }

    /** From the beginning of each task the least minutes until all that rests on it is done. */
    Map<String, Integer> tails() {
        Map<String, Integer> tails = new HashMap<>();
        for (int i = inOrder.size() - 1; i >= 0; i--) {
            Task task = inOrder.get(i);
            int after = graph.outgoingEdgesOf(task.key()).stream()
                    .mapToInt(edge -> task.waitMin() + tails.get(graph.getEdgeTarget(edge)))
                    .max()
                    .orElse(0);
            tails.put(task.key(), task.minutes() + after);
        }
        return tails;
    }

    /** The chain of tasks that takes longest, waits counted, from its first to its last. */
    public List<Task> longestChain() {
        Map<String, Integer> tails = tails();
        List<Task> chain = new ArrayList<>();
        Set<String> open =
                inOrder.stream().filter(t -> t.after().isEmpty()).map(Task::key).collect(Collectors.toSet());
        while (!open.isEmpty()) {
            String longest = open.stream()
                    .max((a, b) -> Integer.compare(tails.get(a), tails.get(b)))
                    .orElseThrow();
            chain.add(byKey.get(longest));
            open = graph.outgoingEdgesOf(longest).stream()
                    .map(graph::getEdgeTarget)
                    .collect(Collectors.toSet());
        }
        return chain;
    }
}

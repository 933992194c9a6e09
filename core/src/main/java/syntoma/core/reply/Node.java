package syntoma.core.reply;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A part of an answer: a value, a group of named parts, or a list of parts. */
public sealed interface Node {
    /** A value as it was written. */
    record Value(String text) implements Node {}

    /** Parts with names, in their order. */
    record Group(Map<String, Node> parts) implements Node {}

    /** Parts without names. */
    record Series(List<Node> parts) implements Node {}

    /** The part that a JSON pointer (RFC 6901) names; the empty one names the whole. */
    default Optional<Node> at(String pointer) {
        Node node = this;
        if (pointer.isEmpty()) {
            return Optional.of(node);
        }
        for (String step : pointer.substring(1).split("/", -1)) {
            String name = step.replace("~1", "/").replace("~0", "~");
            Optional<Node> next = node.step(name);
            if (next.isEmpty()) {
                return next;
            }
            node = next.get();
        }
        return Optional.of(node);
    }

    /** The value that a pointer names, without the space around it; empty where there is none, or nothing in it. */
    default Optional<String> text(String pointer) {
        return at(pointer)
                .filter(Value.class::isInstance)
                .map(node -> ((Value) node).text().strip())
                .filter(text -> !text.isEmpty());
    }

    private Optional<Node> step(String name) {
        if (this instanceof Group group) {
            return Optional.ofNullable(group.parts().get(name));
        }
        if (this instanceof Series series && name.matches("0|[1-9][0-9]{0,5}")) {
            int index = Integer.parseInt(name);
            return index < series.parts().size() ? Optional.of(series.parts().get(index)) : Optional.empty();
        }
        return Optional.empty();
    }

    /** A name as it stands in a pointer. */
    static String escaped(String name) {
        return name.replace("~", "~0").replace("/", "~1");
    }
}

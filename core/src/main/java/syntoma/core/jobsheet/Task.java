package syntoma.core.jobsheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import syntoma.core.caution.Caution;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * One task of a sheet.
 *
 * @param key by which others name it
 * @param minutes that hands work at it
 * @param people who are needed all the while
 * @param waitMin from its end until what rests on it may begin, such as the hours in which a sealant cures
 * @param after the keys of the tasks that come before it
 * @param weather that it needs
 * @param lastLook what is ticked before it, because it cannot be undone; empty where it can
 * @param cautions of this step
 * @param tools that it takes
 * @param needsHelper whether a second person stands by, at the ladder or inside, without working at it
 */
public record Task(
        String key,
        Sentence name,
        int minutes,
        int people,
        int waitMin,
        List<String> after,
        Weather weather,
        Optional<String> lastLook,
        List<Caution> cautions,
        List<Sentence> tools,
        boolean needsHelper) {
    private static final int LONGEST_NAME = 160;
    private static final int LONGEST_MIN = 24 * 60;
    private static final int LONGEST_WAIT_MIN = 14 * 24 * 60;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Task {
        String checked = Text.name("task", name.toString(), LONGEST_NAME);
        name = checked.contentEquals(name) ? name : Sentence.of(checked);
        Values.within("minutes of " + name, minutes, 1, LONGEST_MIN, "min");
        Values.within("people of " + name, people, 1, 4, "");
        Values.within("wait of " + name, waitMin, 0, LONGEST_WAIT_MIN, "min");
        after = List.copyOf(after);
        cautions = List.copyOf(cautions);
        tools = List.copyOf(tools);
    }

    /** The same with its time, hands and wait changed. */
    public Task taking(int min, int hands, int wait) {
        return new Task(key, name, min, hands, wait, after, weather, lastLook, cautions, tools, needsHelper);
    }

    /** The same, coming after others. */
    Task comingAfter(List<String> others) {
        return new Task(key, name, minutes, people, waitMin, others, weather, lastLook, cautions, tools, needsHelper);
    }

    /** The same, coming after one more. */
    Task alsoAfter(String other) {
        return after.contains(other)
                ? this
                : comingAfter(Stream.concat(after.stream(), Stream.of(other)).toList());
    }

    /** A task that is nothing but its time. */
    static Task ofTime(String key, int minutes, int people, int waitMin, List<String> after) {
        return new Task(
                key,
                Sentence.of(key),
                minutes,
                people,
                waitMin,
                after,
                Weather.ANY,
                Optional.empty(),
                List.of(),
                List.of(),
                false);
    }
}

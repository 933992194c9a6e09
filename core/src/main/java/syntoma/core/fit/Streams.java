package syntoma.core.fit;

import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import syntoma.core.band.Band;

/**
 * How many antenna streams reach a device.
 *
 * @param on by radio technology; none where no band works
 * @param isOpen whether a sheet leaves open if more bands work
 */
public record Streams(List<On> on, boolean isOpen) {
    public Streams {
        on = List.copyOf(on);
    }

    /** Streams of a technology; empty when they are not known. */
    public record On(Band.Technology rat, OptionalInt number) {}

    /** The most of any technology; empty when one of them is not known, or when nothing is. */
    public OptionalInt mostStreams() {
        if (on.stream().anyMatch(o -> o.number().isEmpty()) || on.isEmpty() && isOpen) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(
                on.stream().mapToInt(o -> o.number().getAsInt()).max().orElse(0));
    }

    /** How many reach a device, as a sentence. */
    String sentence(String device) {
        List<On> known = on.stream().filter(o -> o.number().isPresent()).toList();
        if (known.isEmpty() && (isOpen || !on.isEmpty())) {
            return "How many streams reach " + device + " is unknown, because a sheet does not say.";
        }
        List<Integer> numbers =
                known.stream().map(o -> o.number().getAsInt()).distinct().toList();
        String open = on.stream()
                .filter(o -> o.number().isEmpty())
                .map(o -> "; on " + o.rat() + " that is unknown")
                .collect(Collectors.joining());
        if (numbers.size() <= 1 && open.isEmpty()) {
            return reach(numbers.isEmpty() ? 0 : numbers.get(0), device);
        }
        String each = known.stream()
                .map(o -> Words.count(o.number().getAsInt())
                        + (o == known.get(0) ? Words.streamWord(o.number().getAsInt()) : "") + " on " + o.rat())
                .collect(Collectors.joining(" and "));
        return Words.capital(each) + " reach " + device + open + ".";
    }

    private static String reach(int number, String device) {
        return Words.capital(Words.count(number).toLowerCase(Locale.ROOT)) + Words.streamWord(number)
                + (number == 1 || number == 0 ? " reaches " : " reach ") + device + ".";
    }
}

package syntoma.core.sentence;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Words with quantities between them. Read as characters it is in metric units; {@link #in} writes it in others.
 *
 * <pre>{@code
 * Sentence.of("The roof is ", Quantity.millimetres(32), " thick.").toString()              // The roof is 32 mm thick.
 * Sentence.of("The roof is ", Quantity.millimetres(32), " thick.").in(UnitSystem.IMPERIAL) // The roof is 1.26 in thick.
 * }</pre>
 */
public final class Sentence implements CharSequence, Part {
    /** No words at all. */
    public static final Sentence EMPTY = new Sentence(List.of());

    /** Words that are the same in every system of units. */
    private record Words(String text) implements Part {
        @Override
        public String in(UnitSystem system) {
            return text;
        }
    }

    private final List<Part> parts;

    private Sentence(List<Part> parts) {
        this.parts = List.copyOf(parts);
    }

    /** Of parts in their order: sentences and quantities as they are, anything else by its words. */
    public static Sentence of(Object... parts) {
        List<Part> joined = new ArrayList<>();
        for (Object part : parts) {
            if (part instanceof Sentence sentence) {
                sentence.parts.forEach(inner -> add(joined, inner));
            } else {
                add(joined, part instanceof Part typed ? typed : new Words(String.valueOf(part)));
            }
        }
        return new Sentence(joined);
    }

    /** Neighbouring words are one part, so that sentences that say the same are equal. */
    private static void add(List<Part> parts, Part part) {
        int last = parts.size() - 1;
        if (part instanceof Words words && words.text.isEmpty()) {
            return;
        }
        if (part instanceof Words words && last >= 0 && parts.get(last) instanceof Words before) {
            parts.set(last, new Words(before.text + words.text));
        } else {
            parts.add(part);
        }
    }

    /** Several, one after another with something between. */
    public static Sentence join(String between, Iterable<? extends CharSequence> sentences) {
        List<Object> parts = new ArrayList<>();
        for (Iterator<? extends CharSequence> each = sentences.iterator(); each.hasNext(); ) {
            parts.add(each.next());
            if (each.hasNext()) {
                parts.add(between);
            }
        }
        return of(parts.toArray());
    }

    @Override
    public String in(UnitSystem system) {
        return parts.stream().map(part -> part.in(system)).collect(Collectors.joining());
    }

    @Override
    public int length() {
        return toString().length();
    }

    @Override
    public char charAt(int index) {
        return toString().charAt(index);
    }

    @Override
    public CharSequence subSequence(int start, int end) {
        return toString().subSequence(start, end);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Sentence sentence && parts.equals(sentence.parts);
    }

    @Override
    public int hashCode() {
        return parts.hashCode();
    }

    /** In metric units. */
    @Override
    public String toString() {
        return in(UnitSystem.METRIC);
    }
}

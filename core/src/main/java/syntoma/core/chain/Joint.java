package syntoma.core.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where two ends meet: directly, or over adapters.
 *
 * @param outer the end toward the antenna
 * @param inner the end toward the device
 * @param adapters from the antenna inward; none where the two mate, and where nothing at hand goes between them
 */
public record Joint(Connector outer, Connector inner, List<Adapter> adapters) {
    /** More adapters in a row are not looked for: chosen, because each is one more thing to work loose. */
    private static final int MOST_IN_A_ROW = 2;

    public Joint {
        adapters = List.copyOf(adapters);
    }

    /** The joint of two ends over the fewest adapters of those at hand, which are taken from them. */
    static Joint of(Connector outer, Connector inner, List<Adapter> atHand) {
        if (outer.mates(inner)) {
            return new Joint(outer, inner, List.of());
        }
        for (int number = 1; number <= MOST_IN_A_ROW; number++) {
            Optional<List<Adapter>> found = between(outer, inner, atHand, number);
            if (found.isPresent()) {
                found.get().forEach(atHand::remove);
                return new Joint(outer, inner, found.get());
            }
        }
        return new Joint(outer, inner, List.of());
    }

    private static Optional<List<Adapter>> between(Connector outer, Connector inner, List<Adapter> atHand, int number) {
        if (number == 1) {
            return atHand.stream()
                    .filter(a -> a.bridges(outer, inner))
                    .findFirst()
                    .map(List::of);
        }
        for (int i = 0; i < atHand.size(); i++) {
            Adapter first = atHand.get(i);
            List<Adapter> others = new ArrayList<>(atHand);
            others.remove(i);
            for (Connector far : first.farEnds(outer)) {
                Optional<List<Adapter>> rest = between(far, inner, others, number - 1);
                if (rest.isPresent()) {
                    List<Adapter> all = new ArrayList<>(List.of(first));
                    all.addAll(rest.get());
                    return Optional.of(all);
                }
            }
        }
        return Optional.empty();
    }

    /** Whether the two go together as they are. */
    public boolean mates() {
        return outer.mates(inner);
    }

    /** Whether an adapter is needed that the chain does not have. */
    public boolean lacksAdapter() {
        return !mates() && adapters.isEmpty();
    }

    /** The adapter that would go between them, such as SMA-female to TS9-male. */
    public String neededAdapter() {
        return outer.counterpart() + " to " + inner.counterpart();
    }
}

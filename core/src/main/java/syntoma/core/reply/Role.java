package syntoma.core.reply;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a cell is to the device. */
public enum Role {
    /** The serving cell: the LTE anchor of NSA, the NR cell of SA. */
    PRIMARY(Set.of("primary", "pcell", "pcc", "serving", "servingcell", "main", "anchor", "lte", "4g")),
    /** A further component carrier. */
    SECONDARY(Set.of("secondary", "scell", "scc", "ca", "aggregated")),
    /** The NR leg of NSA. */
    NR(Set.of("nr", "5g", "nr5g", "nsa", "endc", "scg", "pscell", "nrleg")),
    /** Heard, and not served by. */
    NEIGHBOUR(Set.of("neighbour", "neighbor", "neighbours", "neighbors", "nbr", "ncell"));

    private final Set<String> words;

    Role(Set<String> words) {
        this.words = words;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The role that a word names, as routers write it; a digit at its end counts the cells of the role. */
    public static Optional<Role> ofWord(String text) {
        String word = text.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
        String plain = word.replaceAll("(?<=[a-z])[0-9]+$", "");
        for (Role role : values()) {
            if (role.words.contains(word) || role.words.contains(plain)) {
                return Optional.of(role);
            }
        }
        return Optional.empty();
    }
}

package syntoma.core.state;

import java.util.Collection;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import syntoma.core.unit.Text;

/** What to mind at a step that can hurt somebody or something, in a sentence or two. */
public final class Caution {
    static final String MAST =
            "Not in strong wind or a thunderstorm, and clear of overhead lines. A second person holds the mast.";
    static final String ROOF = "Use a proper ladder and a second person, and stay off a wet or icy roof.";
    static final String BOOSTER =
            "Its antenna has to be plugged in first. Stay clear of the antennas while it transmits.";

    /** A mast that is up while driving. */
    static final String DRIVING = "Never drive with a mast up: it hits bridges, branches and lines.";

    private Caution() {}

    /** Leads are changed with the power off. @param also what else leads are on; empty texts where they are loose */
    static String leads(String at, Collection<String> also) {
        List<String> powered = also.stream()
                .filter(name -> !name.isEmpty() && !name.equals(at))
                .collect(Collectors.toCollection(TreeSet::new))
                .stream()
                .toList();
        String names = powered.isEmpty() ? at : Text.list(List.of(at, Text.list(powered)));
        return "Switch " + names
                + " off first, and on again only when the antennas are plugged in. Tighten the plugs by hand"
                + " only.";
    }
}

package syntoma.core.reply;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Proposes which value of an answer is which figure: by its name, then by whether its value can be that figure. Of several the
 * one that stands least deep is taken.
 */
public final class Proposal {
    private static final Set<String> CARRIER = Set.of(
            "operator", "carrier", "network", "provider", "plmnname", "networkname", "operatorname", "spn", "isp");
    private static final Pattern CARRIER_LIKE = Pattern.compile(".+(operator|carrier|provider)(name|long|short)?");
    private static final Set<String> MODE = Set.of(
            "mode",
            "networktype",
            "networkmode",
            "servicetype",
            "systemmode",
            "connectiontype",
            "nettype",
            "nwtype",
            "registrationmode",
            "rat",
            "technology",
            "accesstechnology");
    private static final Set<String> KIND = Set.of("role", "type", "kind", "celltype", "cell");
    private static final int DEEPEST = 12;

    private final Map<String, String> pointers = new LinkedHashMap<>();
    private final List<Leaf> leaves = new ArrayList<>();

    /** A value, where it stands, and the names on the way to it. */
    private record Leaf(String pointer, List<String> names, String text) {
        String name() {
            return lettersOnly(names.get(names.size() - 1));
        }
    }

    private Proposal() {}

    /** What is proposed for an answer; empty where nothing of it is known. */
    public static Mapping of(Node answer) {
        Proposal proposal = new Proposal();
        proposal.walk(answer, "", List.of());
        proposal.leaves.sort(
                (a, b) -> Integer.compare(a.names().size(), b.names().size()));
        proposal.propose();
        return new Mapping(proposal.pointers);
    }

    private void walk(Node node, String pointer, List<String> names) {
        if (names.size() > DEEPEST) {
            return;
        }
        if (node instanceof Node.Value value && !names.isEmpty()) {
            leaves.add(new Leaf(pointer, names, value.text().strip()));
        } else if (node instanceof Node.Group group) {
            group.parts().forEach((name, part) -> walk(part, pointer + "/" + Node.escaped(name), with(names, name)));
        } else if (node instanceof Node.Series series) {
            walk(series, pointer, names);
        }
    }

    /** A list of cells is mapped element by element; any other list is passed over. */
    private void walk(Node.Series series, String pointer, List<String> names) {
        Map<String, String> inElement = new LinkedHashMap<>();
        for (Node element : series.parts()) {
            Proposal own = new Proposal();
            own.walk(element, "", List.of());
            for (Leaf leaf : own.leaves) {
                own.field(leaf).ifPresent(field -> inElement.putIfAbsent("cells[]." + field.field(), leaf.pointer()));
                if (KIND.contains(leaf.name()) && Role.ofWord(leaf.text()).isPresent()) {
                    inElement.putIfAbsent("cells[].role", leaf.pointer());
                }
            }
        }
        boolean levels = inElement.keySet().stream().anyMatch(key -> CellField.of(key.substring("cells[].".length()))
                .filter(CellField::isLevel)
                .isPresent());
        boolean neighbours = names.stream().anyMatch(name -> Role.ofWord(name).equals(Optional.of(Role.NEIGHBOUR)));
        if (levels && !neighbours && !pointers.containsKey("cells")) {
            pointers.put("cells", pointer);
            pointers.putAll(inElement);
        }
    }

    private void propose() {
        List<Role> said = leaves.stream()
                .filter(leaf -> field(leaf).filter(CellField::isLevel).isPresent())
                .map(this::role)
                .toList();
        boolean nrOnly = said.contains(Role.NR) && !said.contains(Role.PRIMARY);
        for (Leaf leaf : leaves) {
            boolean top = leaf.names().size() <= 2
                    || leaf.names().stream().noneMatch(name -> Role.ofWord(name).isPresent());
            if (CARRIER.contains(leaf.name()) && isName(leaf.text())) {
                pointers.putIfAbsent("carrier", leaf.pointer());
            } else if (top && MODE.contains(leaf.name()) && isMode(leaf.text())) {
                pointers.putIfAbsent("mode", leaf.pointer());
            } else if (!pointers.containsKey("cells")) {
                Role role = nrOnly && role(leaf) == Role.NR ? Role.PRIMARY : role(leaf);
                field(leaf)
                        .ifPresent(field -> pointers.putIfAbsent(role.label() + "." + field.field(), leaf.pointer()));
            }
        }
        // a longer name that ends in the word, as network_operator does, stands behind the word itself
        leaves.stream()
                .filter(leaf -> CARRIER_LIKE.matcher(leaf.name()).matches() && isName(leaf.text()))
                .findFirst()
                .ifPresent(leaf -> pointers.putIfAbsent("carrier", leaf.pointer()));
    }

    private static boolean isName(String text) {
        return text.matches(".*[A-Za-z].*") && !text.matches("[Bbn][0-9]{1,3}") && !isMode(text);
    }

    private static boolean isMode(String text) {
        return Modes.mode(Optional.of(text), List.of()).isPresent();
    }

    /** The role that the names on the way say, the nearest first; a name can hold it too, as in nr_rsrp. */
    private Role role(Leaf leaf) {
        for (int i = leaf.names().size() - 1; i >= 0; i--) {
            String name = leaf.names().get(i);
            Optional<Role> whole = i < leaf.names().size() - 1 ? Role.ofWord(name) : Optional.empty();
            if (whole.isPresent()) {
                return whole.get();
            }
            for (String word : name.split("[^A-Za-z0-9]+|(?<=[a-z])(?=[A-Z])")) {
                Optional<Role> part = word.equalsIgnoreCase(name) ? Optional.empty() : Role.ofWord(word);
                if (part.isPresent()) {
                    return part.get();
                }
            }
        }
        return Role.PRIMARY;
    }

    /** The figure that a name says and a value can be. */
    private Optional<CellField> field(Leaf leaf) {
        String plain = leaf.name();
        String bare = plain.replaceFirst(
                "^(lte|nr5g|nr|5g|4g|pcc|pcell|scc[0-9]?|scell[0-9]?|primary|secondary|dl|cell|signal)", "");
        for (CellField field : CellField.values()) {
            if ((field.isCalled(plain) || field.isCalled(bare)) && canBe(field, leaf.text())) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    private static boolean canBe(CellField field, String text) {
        return switch (field) {
            case RAT -> Modes.rat(text).isPresent();
            case CELL_ID -> text.matches("(?i)(0x)?[0-9a-f]{3,11}");
            case BAND -> text.matches(".*[0-9].*");
            default -> CellValues.number(text).isPresent();
        };
    }

    private static String lettersOnly(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
    }

    private static List<String> with(List<String> names, String name) {
        List<String> longer = new ArrayList<>(names);
        longer.add(name);
        return longer;
    }
}

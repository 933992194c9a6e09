package syntoma.core.chain;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import syntoma.core.chain.Chain.WiredLead;
import syntoma.core.unit.Text;

/**
 * Which lead is plugged into which port, as a person states it. A lead goes to one port, and a port takes one lead.
 *
 * @param portOfLead label of the port by the key of the lead; a lead that hangs loose is not in it
 */
public record Plugging(Map<String, String> portOfLead) {
    /** Nothing is stated. */
    public static final Plugging NONE = new Plugging(Map.of());

    /**
     * @throws IllegalArgumentException naming the port that two leads are said to be in
     */
    public Plugging {
        portOfLead = Map.copyOf(portOfLead);
        Set<String> taken = new HashSet<>();
        for (String port : portOfLead.values()) {
            if (!taken.add(port)) {
                throw new IllegalArgumentException(
                        "port " + Text.quote(port) + " has two leads; allowed is one lead in a port");
            }
        }
    }

    public boolean isEmpty() {
        return portOfLead.isEmpty();
    }

    /** The label of a lead's port; empty for one that hangs loose. */
    public Optional<String> port(WiredLead lead) {
        return Optional.ofNullable(portOfLead.get(lead.key()));
    }

    /**
     * The same with one lead plugged elsewhere; the lead that had that port goes to the one that is left, if any.
     *
     * @param port empty to let the lead hang loose
     */
    public Plugging withLeadAt(String lead, Optional<String> port) {
        Map<String, String> moved = new HashMap<>(portOfLead);
        String left = moved.remove(lead);
        port.ifPresent(wanted -> {
            leadAt(wanted).filter(other -> !other.equals(lead)).ifPresent(other -> {
                if (left == null) {
                    moved.remove(other);
                } else {
                    moved.put(other, left);
                }
            });
            moved.put(lead, wanted);
        });
        return new Plugging(moved);
    }

    private Optional<String> leadAt(String port) {
        return portOfLead.entrySet().stream()
                .filter(e -> e.getValue().equals(port))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /**
     * Checks that it can be plugged so.
     *
     * @throws IllegalArgumentException naming the lead or the port that the chain has not
     */
    public void check(Chain chain) {
        Set<String> leads = chain.leads().stream().map(WiredLead::key).collect(Collectors.toSet());
        List<String> ports = chain.ports().stream().map(Port::label).toList();
        portOfLead.forEach((lead, port) -> {
            refuseUnless(
                    leads.contains(lead), "lead", lead, leads.stream().sorted().toList());
            refuseUnless(ports.contains(port), "port", port, ports);
        });
    }

    private static void refuseUnless(boolean known, String what, String label, List<String> labels) {
        if (!known) {
            throw new IllegalArgumentException(what + " is " + Text.quote(label) + "; allowed is "
                    + (labels.isEmpty() ? "none, because this chain has none" : String.join(", ", labels)));
        }
    }
}

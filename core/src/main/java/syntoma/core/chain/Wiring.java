package syntoma.core.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.chain.Chain.WiredLead;

/**
 * Which lead goes to which port. Where the chain states it, that is taken; else it is proposed: as many cellular leads as
 * there are ports first, each lead to a port of its use, as few adapters as can be (an assignment by the Hungarian method).
 *
 * @param leadsOver leads that have no port
 * @param portsOver ports that have no lead
 */
public record Wiring(List<Connection> connections, List<WiredLead> leadsOver, List<Port> portsOver) {
    private static final double UNCONNECTED = 1_000;
    private static final double WRONG_USE = 100_000;
    private static final double ADAPTER = 1;
    private static final double IN_ORDER = 1e-4;

    /**
     * A lead at a port.
     *
     * @param adapter the chain's own adapter between them; empty where they mate, and where one is missing
     */
    public record Connection(WiredLead lead, Port port, Optional<Adapter> adapter) {
        /** Whether the two go together as they are. */
        public boolean mates() {
            return lead.end().mates(port.connector());
        }

        /** Whether an adapter is needed that the chain does not have. */
        public boolean lacksAdapter() {
            return !mates() && adapter.isEmpty();
        }
    }

    /** The wiring of a chain. */
    public static Wiring of(Chain chain) {
        List<WiredLead> leads = chain.leads();
        List<Port> ports = chain.ports();
        int[] portOf = chain.plugging().isEmpty() ? proposed(leads, ports) : stated(chain.plugging(), leads, ports);
        List<Adapter> adapters = new ArrayList<>(chain.adapters());
        List<Connection> connections = new ArrayList<>();
        List<WiredLead> leadsOver = new ArrayList<>();
        List<Port> portsOver = new ArrayList<>(ports);
        for (int i = 0; i < leads.size(); i++) {
            if (portOf[i] < 0) {
                leadsOver.add(leads.get(i));
                continue;
            }
            Port port = ports.get(portOf[i]);
            portsOver.remove(port);
            connections.add(new Connection(leads.get(i), port, take(adapters, leads.get(i), port)));
        }
        return new Wiring(connections, leadsOver, portsOver);
    }

    private static Optional<Adapter> take(List<Adapter> adapters, WiredLead lead, Port port) {
        if (lead.end().mates(port.connector())) {
            return Optional.empty();
        }
        Optional<Adapter> found = adapters.stream()
                .filter(a -> a.bridges(lead.end(), port.connector()))
                .findFirst();
        found.ifPresent(adapters::remove);
        return found;
    }

    private static int[] proposed(List<WiredLead> leads, List<Port> ports) {
        // one more column per lead: to stay unconnected
        double[][] cost = new double[leads.size()][ports.size() + leads.size()];
        for (int i = 0; i < leads.size(); i++) {
            for (int j = 0; j < cost[i].length; j++) {
                cost[i][j] = j < ports.size()
                        ? cost(leads.get(i), ports.get(j)) + IN_ORDER * (i - j) * (i - j)
                        : UNCONNECTED - i * IN_ORDER;
            }
        }
        int[] columns = Assignment.leastCost(cost);
        for (int i = 0; i < columns.length; i++) {
            columns[i] = columns[i] < ports.size() ? columns[i] : -1;
        }
        return columns;
    }

    private static double cost(WiredLead lead, Port port) {
        if (lead.lead().use() != port.use()) {
            return WRONG_USE;
        }
        double connector = lead.end().mates(port.connector()) ? 0 : ADAPTER;
        return connector - (port.main() ? ADAPTER / 2 : 0);
    }

    private static int[] stated(Plugging plugging, List<WiredLead> leads, List<Port> ports) {
        int[] portOf = new int[leads.size()];
        for (int i = 0; i < portOf.length; i++) {
            String wanted = plugging.port(leads.get(i)).orElse("");
            portOf[i] = -1;
            for (int j = 0; j < ports.size(); j++) {
                if (ports.get(j).label().equals(wanted)) {
                    portOf[i] = j;
                }
            }
        }
        return portOf;
    }

    /** How it is plugged, as a person would state it. */
    public Plugging plugging() {
        return new Plugging(connections.stream()
                .collect(Collectors.toMap(c -> c.lead().key(), c -> c.port().label())));
    }

    /** Connections whose lead and port are both for a use. */
    public List<Connection> of(Use use) {
        return connections.stream()
                .filter(c -> c.lead().lead().use() == use && c.port().use() == use)
                .toList();
    }

    /** Leads for a use that have no port. */
    public List<WiredLead> leadsOver(Use use) {
        return leadsOver.stream().filter(l -> l.lead().use() == use).toList();
    }
}

package syntoma.core.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import syntoma.core.chain.Chain.WiredLead;

/**
 * Which lead goes to which port. Where the chain states it, that is taken; else it is proposed: as many cellular leads as
 * there are ports first, each lead to a port of its use, as few adapters as can be (an assignment by the Hungarian method).
 * The chain's adapters are used up along it, each once.
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
     * @param joints from the antenna inward: the lead on its extension, cable on cable, the last one on the port
     */
    public record Connection(WiredLead lead, Port port, List<Joint> joints) {
        /** The joint at the port. */
        public Joint atPort() {
            return joints.get(joints.size() - 1);
        }

        /** Those between the lead and the last cable. */
        public List<Joint> beforePort() {
            return joints.subList(0, joints.size() - 1);
        }

        /** The chain's own adapters along it. */
        public List<Adapter> adapters() {
            return joints.stream().flatMap(j -> j.adapters().stream()).toList();
        }
    }

    /** The wiring of a chain. */
    public static Wiring of(Chain chain) {
        List<WiredLead> leads = chain.leads();
        List<Port> ports = chain.ports();
        int[] portOf =
                chain.plugging().isEmpty() ? proposedPorts(leads, ports) : statedPorts(chain.plugging(), leads, ports);
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
            connections.add(new Connection(leads.get(i), port, joints(leads.get(i), port, adapters)));
        }
        return new Wiring(connections, leadsOver, portsOver);
    }

    private static List<Joint> joints(WiredLead lead, Port port, List<Adapter> adapters) {
        List<Joint> joints = new ArrayList<>();
        Connector end = lead.lead().connector();
        for (Cable cable : lead.run().extension(lead.lead())) {
            joints.add(Joint.of(end, cable.nearEnd(end), adapters));
            end = cable.farEnd(end);
        }
        joints.add(Joint.of(end, port.connector(), adapters));
        return List.copyOf(joints);
    }

    private static int[] proposedPorts(List<WiredLead> leads, List<Port> ports) {
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
        return connector - (port.isMain() ? ADAPTER / 2 : 0);
    }

    private static int[] statedPorts(Plugging plugging, List<WiredLead> leads, List<Port> ports) {
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

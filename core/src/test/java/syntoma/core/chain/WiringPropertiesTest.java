package syntoma.core.chain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Span;

/** What holds for every chain. */
class WiringPropertiesTest {
    private static final String[] ENDS = {"SMA-male", "RP-SMA-male", "TS9-male", "N-male"};

    private static Chain random(Random random) {
        List<Lead> leads = new ArrayList<>();
        for (int i = 0; i < random.nextInt(6); i++) {
            Use use = Use.values()[random.nextInt(3)];
            leads.add(Rigs.lead("L" + i, use, ENDS[random.nextInt(ENDS.length)]));
        }
        List<Port> ports = new ArrayList<>();
        for (int i = 0; i < random.nextInt(6); i++) {
            Connector end = Connector.of(ENDS[random.nextInt(ENDS.length)]).counterpart();
            ports.add(new Port("P" + i, Use.values()[random.nextInt(3)], end, i == 0));
        }
        Antenna antenna = Rigs.antenna("Alder", List.of(Rigs.range(600, 6000, 3, 3)), leads.toArray(Lead[]::new));
        return Rigs.chain(Rigs.device("Curlew", 4, ports.toArray(Port[]::new)), Rigs.onRoof(antenna));
    }

    @Property(tries = 500)
    void every_lead_and_every_port_is_used_once_for_its_use_and_as_many_as_can_be(@ForAll long seed) {
        Chain chain = random(new Random(seed));
        Wiring wiring = Wiring.of(chain);
        var leads = new HashSet<String>();
        var ports = new HashSet<String>();
        for (Wiring.Connection c : wiring.connections()) {
            assertTrue(leads.add(c.lead().label()) && ports.add(c.port().label()));
            assertEquals(c.lead().lead().use(), c.port().use());
        }
        for (Use use : Use.values()) {
            long there = chain.ports().stream().filter(p -> p.use() == use).count();
            assertEquals(
                    Math.min(chain.leads(use).size(), there), wiring.of(use).size(), use.label());
        }
        int all = chain.leads(Use.CELLULAR).size()
                + chain.leads(Use.WIFI).size()
                + chain.leads(Use.GNSS).size();
        assertEquals(all, wiring.connections().size() + wiring.leadsOver().size());
    }

    @Property(tries = 300)
    void the_assignment_costs_no_more_than_any_other(@ForAll long seed, @ForAll @IntRange(min = 1, max = 5) int rows) {
        Random random = new Random(seed);
        double[][] cost = new double[rows][rows + random.nextInt(2)];
        for (double[] row : cost) {
            for (int j = 0; j < row.length; j++) {
                row[j] = random.nextInt(20);
            }
        }
        int[] columns = Assignment.leastCost(cost);
        double given = 0;
        var used = new HashSet<Integer>();
        for (int i = 0; i < rows; i++) {
            assertTrue(used.add(columns[i]));
            given += cost[i][columns[i]];
        }
        assertEquals(cheapest(cost, 0, new HashSet<>()), given, 1e-9);
    }

    private static double cheapest(double[][] cost, int row, HashSet<Integer> used) {
        if (row == cost.length) {
            return 0;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int j = 0; j < cost[row].length; j++) {
            if (used.add(j)) {
                best = Math.min(best, cost[row][j] + cheapest(cost, row + 1, used));
                used.remove(j);
            }
        }
        return best;
    }

    @Property
    void thicker_cable_loses_less_and_loss_grows_with_length_and_frequency(
            @ForAll @DoubleRange(min = 300, max = 6000) double mhz,
            @ForAll @DoubleRange(min = 0.1, max = 30) double metres) {
        List<CableClass> classes = CableClass.all();
        for (int i = 0; i < classes.size(); i++) {
            double loss = classes.get(i).lossDb(mhz, metres);
            assertTrue(loss > 0);
            assertEquals(2 * loss, classes.get(i).lossDb(mhz, 2 * metres), 1e-9);
            assertTrue(classes.get(i).lossDb(mhz + 50, metres) > loss);
            assertTrue(i == 0 || classes.get(i - 1).lossDb(mhz, metres) > loss);
        }
    }

    @Property
    void a_share_lies_between_nothing_and_all_and_a_wider_range_never_covers_less(
            @ForAll @DoubleRange(min = 600, max = 2500) double from,
            @ForAll @DoubleRange(min = 1, max = 800) double width) {
        for (Band band : Bands.all()) {
            List<Span> narrow = List.of(new Span(from, from + width));
            List<Span> wide = List.of(new Span(from, from + width), new Span(from + width / 2, from + 2 * width));
            double share = LinkShare.of("x", band, narrow, narrow).downlink().orElseThrow();
            double wider = LinkShare.of("x", band, wide, wide).downlink().orElseThrow();
            assertTrue(share >= 0 && wider <= 1 + 1e-12 && wider >= share - 1e-12, band.name());
        }
    }

    @Property
    void an_extension_lowers_the_net_by_its_loss_and_a_joint(@ForAll @DoubleRange(min = 0.5, max = 20) double metres) {
        Antenna antenna = Rigs.wide("Rowan", 2);
        Cable cable = new Cable(
                "ext", CableClass.of("240-class"), metres, Connector.of("SMA-female"), Connector.of("SMA-male"));
        Chain plain = Rigs.chain(Rigs.router(2), Rigs.onRoof(antenna));
        Chain longer = Rigs.chain(Rigs.router(2), Rigs.run(antenna, List.of(cable), Placement.ROOF, 0));
        double before = Staircase.of(
                        plain, Wiring.of(plain).of(Use.CELLULAR).stream().findFirst(), 1800)
                .netDb()
                .orElseThrow();
        double after = Staircase.of(
                        longer, Wiring.of(longer).of(Use.CELLULAR).stream().findFirst(), 1800)
                .netDb()
                .orElseThrow();
        assertEquals(cable.cableClass().lossDb(1800, metres) + Staircase.CONNECTOR_DB, before - after, 1e-9);
    }
}

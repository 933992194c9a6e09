package syntoma.core.chain;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** One lead in a port, and no lead or port that the chain has not. */
class PluggingTest {
    private static final Chain CHAIN = Rigs.chain(Rigs.router(2), Rigs.onRoof(Rigs.wide("Alder", 2)));

    private static Plugging plugged(String... leadsAndPorts) {
        Map<String, String> ports = new java.util.HashMap<>();
        for (int i = 0; i < leadsAndPorts.length; i += 2) {
            ports.put(leadsAndPorts[i], leadsAndPorts[i + 1]);
        }
        return new Plugging(ports);
    }

    @Test
    void a_lead_that_takes_a_port_leaves_its_own_to_the_one_that_had_it() {
        Plugging swapped = plugged("Alder/1", "M1", "Alder/2", "M2").withLeadAt("Alder/1", Optional.of("M2"));
        assertEquals(plugged("Alder/1", "M2", "Alder/2", "M1"), swapped);
    }

    @Test
    void a_loose_lead_that_takes_a_port_makes_the_other_one_loose() {
        assertEquals(plugged("Alder/2", "M1"), plugged("Alder/1", "M1").withLeadAt("Alder/2", Optional.of("M1")));
        assertEquals(
                plugged("Alder/2", "M2"),
                plugged("Alder/1", "M1", "Alder/2", "M2").withLeadAt("Alder/1", Optional.empty()));
        Plugging same = plugged("Alder/1", "M1");
        assertEquals(same, same.withLeadAt("Alder/1", Optional.of("M1")));
    }

    @Test
    void what_the_chain_has_not_is_refused_by_name_and_so_are_two_leads_in_a_port() {
        assertDoesNotThrow(() -> plugged("Alder/1", "M2", "Alder/2", "M1").check(CHAIN));
        assertDoesNotThrow(() -> Plugging.NONE.check(CHAIN));
        assertRefused(plugged("Rowan/1", "M1"), "lead is “Rowan/1”; allowed is Alder/1, Alder/2");
        assertRefused(plugged("Alder/1", "W"), "port is “W”; allowed is M1, M2");
        String twice = assertThrows(IllegalArgumentException.class, () -> plugged("Alder/1", "M1", "Alder/2", "M1"))
                .getMessage();
        assertTrue(twice.startsWith("port “M1” has two leads; allowed is one"), twice);
        assertRefused(
                plugged("Alder/1", "M1"), Rigs.chain(Rigs.router(2)), "allowed is none, because this chain has none");
    }

    private static void assertRefused(Plugging plugging, String says) {
        assertRefused(plugging, CHAIN, says);
    }

    private static void assertRefused(Plugging plugging, Chain chain, String says) {
        String message = assertThrows(IllegalArgumentException.class, () -> plugging.check(chain))
                .getMessage();
        assertTrue(message.contains(says), message);
    }

    @Test
    void what_is_proposed_can_be_stated_as_it_is() {
        Wiring proposed = Wiring.of(CHAIN);
        Wiring stated = Wiring.of(Rigs.withPlugging(CHAIN, proposed.plugging().portOfLead()));
        assertEquals(proposed.connections(), stated.connections());
    }

    @Property(tries = 200)
    void however_leads_are_moved_no_port_has_two(
            @ForAll @IntRange(min = 1, max = 30) int moves, @ForAll @IntRange(max = 1_000) int seed) {
        java.util.Random random = new java.util.Random(seed);
        Chain chain = Rigs.chain(Rigs.router(3), Rigs.onRoof(Rigs.wide("Alder", 4)));
        Plugging plugging = Wiring.of(chain).plugging();
        for (int i = 0; i < moves; i++) {
            String port = "M" + (1 + random.nextInt(4));
            plugging = plugging.withLeadAt(
                    "Alder/" + (1 + random.nextInt(4)), port.equals("M4") ? Optional.empty() : Optional.of(port));
            plugging.check(chain);
        }
    }
}

package syntoma.core.state;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Source;

/**
 * A vehicle in which hands do what the steps say, and nothing else. A step that supposes an antenna, a SIM or a mast where it is not,
 * fails.
 */
final class Vehicle {
    private final Map<String, String> leads = new HashMap<>();
    private final Map<String, String> sims = new HashMap<>();
    private final Map<String, String> active = new HashMap<>();
    private final Map<String, Double> raised = new HashMap<>();
    private final Set<String> atTheWindow = new HashSet<>();
    private final Map<String, String> bands = new HashMap<>();
    private final Map<String, Source> sources = new HashMap<>();
    private final Set<String> boostersOn = new HashSet<>();
    private String inUse = "";

    void does(List<Move> moves) {
        moves.forEach(move -> does(move.action()));
    }

    private void does(Action action) {
        if (action instanceof Action.Use use) {
            use.instead().ifPresent(other -> assertEquals(inUse, other));
            inUse = use.inUse();
        } else if (action instanceof Action.PutSim put) {
            put.from().ifPresent(from -> assertEquals(from, sims.get(put.sim()), put.sim()));
            put.out().ifPresent(out -> {
                assertEquals(put.to(), sims.get(out), out);
                sims.remove(out);
                active.remove(put.to(), out);
            });
            put.from().ifPresent(from -> active.remove(from, put.sim()));
            if (put.from().isEmpty()) {
                assertTrue(!sims.containsKey(put.sim()), put.sim() + " is in " + sims.get(put.sim()));
            }
            sims.put(put.sim(), put.to());
            active.put(put.to(), put.sim());
        } else if (action instanceof Action.SwitchSim to) {
            assertEquals(to.device(), sims.get(to.sim()), to.sim());
            active.put(to.device(), to.sim());
        } else if (action instanceof Action.PutAntenna put) {
            assertEquals(
                    put.from().map(Spot::raisedM).orElse(0.0), raised.getOrDefault(put.antenna(), 0.0), put.antenna());
            raised.put(put.antenna(), put.to().raisedM());
            if (put.to().placement() == Placement.WINDOW) {
                atTheWindow.add(put.antenna());
            } else {
                atTheWindow.remove(put.antenna());
            }
        } else if (action instanceof Action.Stow stow) {
            assertTrue(raised.getOrDefault(stow.antenna(), 0.0) > 0 || atTheWindow.contains(stow.antenna()));
            raised.remove(stow.antenna());
            atTheWindow.remove(stow.antenna());
        } else if (action instanceof Action.Leads plugged) {
            plugged.off().forEach(antenna -> assertEquals(plugged.at(), leads.remove(antenna), antenna));
            plugged.on().forEach((antenna, from) -> {
                assertEquals(from, leads.getOrDefault(antenna, ""), antenna);
                leads.put(antenna, plugged.at());
            });
        } else if (action instanceof Action.SwitchBooster to) {
            assertNotEquals(to.isOn(), boostersOn.contains(to.booster()), to.booster());
            if (to.isOn()) {
                boostersOn.add(to.booster());
            } else {
                boostersOn.remove(to.booster());
            }
        } else if (action instanceof Action.Hold hold) {
            assertNotEquals(hold.bands(), bands.getOrDefault(hold.device(), "automatic"));
            bands.put(hold.device(), hold.bands());
        } else if (action instanceof Action.Draw draw) {
            sources.put(draw.device(), draw.source());
        }
    }

    /** Checks that a setup can be measured as things are. A SIM that was never touched is in the device that it is used in. */
    void checkReady(Arrangement wanted) {
        String device = wanted.device().name();
        assertEquals(device, inUse.isEmpty() ? device : inUse);
        inUse = device;
        String at = wanted.booster().orElse(device);
        Set<String> plugged = new HashSet<>();
        leads.forEach((antenna, holder) -> {
            if (holder.equals(at)) {
                plugged.add(antenna);
            }
        });
        assertEquals(wanted.antennas().keySet(), plugged, at);
        wanted.antennas().forEach((antenna, spot) -> {
            assertEquals(spot.raisedM(), raised.getOrDefault(antenna, 0.0), antenna);
            assertEquals(spot.placement() == Placement.WINDOW, atTheWindow.contains(antenna), antenna);
        });
        assertEquals(wanted.booster().map(Set::of).orElse(Set.of()), boostersOn);
        assertEquals(wanted.bands(), bands.getOrDefault(device, "automatic"));
        assertEquals(wanted.source(), sources.getOrDefault(device, Source.CELLULAR));
        if (wanted.needsSim()) {
            sims.putIfAbsent(wanted.carrier(), device);
            active.putIfAbsent(device, wanted.carrier());
            assertEquals(device, sims.get(wanted.carrier()), wanted.carrier());
            assertEquals(wanted.carrier(), active.get(device), device);
            long in = sims.values().stream().filter(device::equals).count();
            assertTrue(in <= wanted.device().slots(), in + " SIMs in " + device);
        }
    }

    void checkCanDrive() {
        assertTrue(raised.values().stream().allMatch(m -> m == 0), raised.toString());
        assertEquals(Set.of(), atTheWindow);
        assertEquals(Set.of(), boostersOn);
    }
}

package syntoma.app.state;

import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;

/** The gear that is on board and can be somewhere. */
record GearOnBoard(List<String> antennas, SortedMap<String, String> sims, List<String> devices, List<String> boosters) {
    List<String> leadsGoTo() {
        return Stream.concat(devices.stream(), boosters.stream()).toList();
    }

    /** Reads it from Gear. */
    @Component
    @Transactional(readOnly = true)
    static class Reader {
        private final GearService gear;

        Reader(GearService gear) {
            this.gear = gear;
        }

        GearOnBoard read() {
            List<GearItem> owned = gear.all().stream().filter(GearItem::isOwned).toList();
            SortedMap<String, String> sims = new TreeMap<>();
            owned.stream()
                    .filter(item -> item.is() == GearKind.SIM)
                    .forEach(item -> sims.put(item.name(), Parts.sim(item).carrier()));
            return new GearOnBoard(
                    names(owned, GearKind.ANTENNA),
                    sims,
                    names(owned, GearKind.DEVICE),
                    names(owned, GearKind.BOOSTER));
        }

        private static List<String> names(List<GearItem> owned, GearKind kind) {
            return owned.stream()
                    .filter(item -> item.is() == kind)
                    .map(GearItem::name)
                    .sorted()
                    .toList();
        }
    }
}

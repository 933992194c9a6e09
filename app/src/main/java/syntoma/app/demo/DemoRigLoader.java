package syntoma.app.demo;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.app.rig.ChainPlan;
import syntoma.app.rig.GearItem;
import syntoma.app.rig.GearService;
import syntoma.app.rig.SetupService;
import syntoma.app.rig.WishService;
import syntoma.standin.DemoRig;

/** Loads Heron's rig through the services that a user's own goes through. */
@Component
class DemoRigLoader {
    private final GearService gear;
    private final SetupService setups;
    private final WishService wishes;
    private final ObjectMapper json;

    DemoRigLoader(GearService gear, SetupService setups, WishService wishes, ObjectMapper json) {
        this.gear = gear;
        this.setups = setups;
        this.wishes = wishes;
        this.json = json;
    }

    private record GearFile(String format, List<GearService.GearRequest> gear) {}

    private record RigFile(
            WishService.RigRequest rig,
            List<String> needs,
            List<WishService.RegionView> regions,
            List<NamedChain> setups) {}

    private record NamedChain(String name, String device, String booster, List<NamedRun> runs, List<String> sims) {}

    private record NamedRun(String antenna, List<String> cables, String placement, double mastM) {}

    void load() {
        try {
            gear.takeIn(json.readValue(DemoRig.gear(), GearFile.class).gear());
            RigFile file = json.readValue(DemoRig.rig(), RigFile.class);
            wishes.put(file.rig(), null);
            file.regions().forEach(wishes::put);
            wishes.view().needs().stream()
                    .filter(n -> file.needs().contains(n.name()))
                    .map(n -> new WishService.NeedRequest(
                            n.name(),
                            n.downMbps(),
                            n.upMbps(),
                            n.loadedMs(),
                            n.lossPct(),
                            n.partOfDay(),
                            n.hoursADay(),
                            true))
                    .forEach(n -> wishes.put(n, null));
            Map<String, Long> numbers = gear.all().stream().collect(Collectors.toMap(GearItem::name, GearItem::id));
            Map<String, Long> known = setups.all().stream()
                    .collect(Collectors.toMap(
                            s -> s.setup().name(), s -> s.setup().id()));
            file.setups().forEach(s -> setups.put(known.get(s.name()), plan(s, numbers), null));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ChainPlan plan(NamedChain chain, Map<String, Long> numbers) {
        return new ChainPlan(
                numbers.get(chain.device()),
                null,
                chain.booster() == null ? null : numbers.get(chain.booster()),
                chain.runs().stream()
                        .map(r -> new ChainPlan.Run(
                                numbers.get(r.antenna()),
                                r.cables().stream().map(numbers::get).toList(),
                                r.placement(),
                                r.mastM()))
                        .toList(),
                null,
                chain.sims().stream().map(numbers::get).toList(),
                null,
                null,
                null,
                null);
    }
}

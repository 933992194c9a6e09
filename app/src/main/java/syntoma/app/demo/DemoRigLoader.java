package syntoma.app.demo;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.app.fitout.RoofPlan;
import syntoma.app.fitout.RoofPlans;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearService;
import syntoma.app.need.Carriers;
import syntoma.app.need.Needs;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.ConflictException;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.standin.DemoRig;

/** Loads Heron's rig through the services that a user's own goes through. */
@Component
class DemoRigLoader {
    private final GearService gear;
    private final SetupService setups;
    private final Setups names;
    private final Vehicles vehicles;
    private final Carriers carriers;
    private final Needs needs;
    private final RoofPlans roofs;
    private final ObjectMapper json;

    DemoRigLoader(
            GearService gear,
            SetupService setups,
            Setups names,
            Vehicles vehicles,
            Carriers carriers,
            Needs needs,
            RoofPlans roofs,
            ObjectMapper json) {
        this.gear = gear;
        this.setups = setups;
        this.names = names;
        this.vehicles = vehicles;
        this.carriers = carriers;
        this.needs = needs;
        this.roofs = roofs;
        this.json = json;
    }

    private record GearFile(String format, List<GearService.GearRequest> gear) {}

    private record RigFile(
            Vehicles.VehicleRequest rig,
            List<String> needs,
            List<Carriers.RegionView> regions,
            List<NamedChain> setups,
            List<NamedRoof> roofs) {}

    private record NamedRoof(String name, RoofPlan plan) {}

    private record NamedChain(String name, String device, String booster, List<NamedRun> runs, List<String> sims) {}

    private record NamedRun(String antenna, List<String> cables, String placement, double mastM) {}

    void load() {
        try {
            gear.takeIn(json.readValue(DemoRig.gear(), GearFile.class).gear());
            RigFile file = json.readValue(DemoRig.rig(), RigFile.class);
            vehicles.put(file.rig(), null);
            file.regions().forEach(carriers::put);
            needs.choose(file.needs());
            Map<String, Long> numbers = gear.all().stream()
                    .collect(Collectors.toMap(GearItem::name, GearItem::id, (first, second) -> first));
            Map<String, Long> known = names.numbers();
            file.setups().forEach(s -> setups.put(number(known, s.name()), plan(s, numbers), null));
            file.roofs().forEach(roof -> roofs.begin(roof.name(), roof.plan()));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ChainPlan plan(NamedChain chain, Map<String, Long> numbers) {
        return new ChainPlan(
                number(numbers, chain.device()),
                null,
                chain.booster() == null ? null : number(numbers, chain.booster()),
                chain.runs().stream()
                        .map(r -> new ChainPlan.Run(
                                number(numbers, r.antenna()),
                                r.cables().stream().map(c -> number(numbers, c)).toList(),
                                Map.of(),
                                null,
                                r.placement(),
                                r.mastM(),
                                null))
                        .toList(),
                null,
                chain.sims().stream().map(s -> number(numbers, s)).toList(),
                null,
                null,
                null,
                null);
    }

    /** What was just brought in may have been deleted or renamed by somebody else at the same moment. */
    private static Long number(Map<String, Long> numbers, String name) {
        Long number = numbers.get(name);
        if (number == null) {
            throw new ConflictException(
                    name + " was changed by somebody else while the demo was brought in. Remove the demo data and"
                            + " bring them in again");
        }
        return number;
    }
}

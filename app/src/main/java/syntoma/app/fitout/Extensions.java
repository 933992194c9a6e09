package syntoma.app.fitout;

import java.util.Map;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.setup.SetupService;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Use;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Puts the extension that a plan comes to into a setup, so that its staircase loses what the cable will. */
@Service
@Transactional
class Extensions {
    /** Cables are sold in steps of so much. */
    private static final double STEP_M = 0.5;

    private final RoofPlans plans;
    private final RoofAssessor assessor;
    private final GearService gear;
    private final SetupService setups;

    Extensions(RoofPlans plans, RoofAssessor assessor, GearService gear, SetupService setups) {
        this.plans = plans;
        this.assessor = assessor;
        this.gear = gear;
        this.setups = setups;
    }

    /** The setup that is lengthened. */
    record ExtensionRequest(@Nullable String setup) {}

    /** What was put in: the cable’s name, and the setup with its revision. */
    record ExtensionPut(String cable, long setup, String name) {}

    /**
     * Puts it in; a cable of that length that is on the shelf is taken, else one is considered.
     *
     * @throws ConflictException when the leads reach without one
     * @throws InvalidInputException when the setup does not have the antenna
     */
    ExtensionPut put(long planId, ExtensionRequest asked) {
        RoofPlan plan = plans.view(planId).plan();
        RoofAssessment.RoofRun run = assessor.of(plan).run();
        if (plan.antenna() == null || run == null || run.extensionM() == 0) {
            throw new ConflictException("the leads reach as they are; nothing is lengthened");
        }
        SetupService.PlannedSetup setup = setups.plans().values().stream()
                .filter(s -> s.setup().name().equals(asked.setup()))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        "setup",
                        "setup is " + Text.quote(String.valueOf(asked.setup()))
                                + "; allowed is the name of one with a chain"));
        GearItem antenna = gear.all().stream()
                .filter(item -> item.is() == GearKind.ANTENNA
                        && item.name().equals(plan.antenna().name())
                        && setup.plan().runs().stream().anyMatch(r -> r.antenna() == item.id()))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        "setup",
                        setup.setup().name() + " does not have "
                                + Text.quote(plan.antenna().name())));
        double lengthM = STEP_M * Math.ceil(run.extensionM() / STEP_M - 1e-9);
        GearItem cable = cable(antenna, lengthM, ParsedRoofPlan.cableClass(plan));
        setups.put(setup.setup().id(), setup.plan().lengthened(antenna.id(), cable.id()), null);
        return new ExtensionPut(cable.name(), setup.setup().id(), setup.setup().name());
    }

    private GearItem cable(GearItem antenna, double lengthM, String cableClass) {
        Connector plug = Parts.antenna(antenna).leads(Use.CELLULAR).stream()
                .findFirst()
                .orElseThrow(() -> new InvalidInputException("antenna", antenna.name() + " has no leads on its sheet"))
                .connector();
        String name = "Extension " + Values.format(lengthM) + " m, " + cableClass + ", " + plug;
        return gear.all().stream()
                .filter(item -> item.is() == GearKind.CABLE && item.name().equals(name))
                .findFirst()
                .orElseGet(() -> gear.add(new GearService.GearRequest(
                        GearKind.CABLE.label(),
                        name,
                        GearItem.CONSIDERED,
                        null,
                        Map.of(
                                "cableClass",
                                cableClass,
                                "lengthM",
                                lengthM,
                                "first",
                                plug.counterpart().toString(),
                                "second",
                                plug.toString()))));
    }
}

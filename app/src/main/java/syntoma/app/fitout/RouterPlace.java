package syntoma.app.fitout;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.fitout.RoofPlan.RoofCable;
import syntoma.app.fitout.RoofPlan.RoofPower;
import syntoma.app.fitout.RoofPlan.RoofReach;
import syntoma.app.fitout.RoofPlan.RoofRouter;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Optionals;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Vehicle;
import syntoma.core.power.PowerRun;
import syntoma.core.power.Wire;
import syntoma.core.roof.RoofDefaults;
import syntoma.core.roof.Spot;
import syntoma.core.roof.WifiReach;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Judges the place of the router: its Wi-Fi, its heat, its SIM and what feeds it. */
@Component
class RouterPlace {
    private static final int MOST_REACHED = 12;
    private static final int LONGEST_NAME = 120;

    /** Down from the battery’s bench and up to the router. */
    private final GearService gear;

    RouterPlace(GearService gear) {
        this.gear = gear;
    }

    /** A router’s place; {@code notes} are what to watch out for. */
    record RoofRouterJudged(List<Sentence> notes, List<RoofReached> reach) {}

    /** How a place is reached by Wi-Fi, in dBm, and what that is enough for. */
    record RoofReached(String name, double awayM, double lowDbm, double highDbm, String good) {}

    /**
     * The wire to the router; null for what its sheet does not state.
     *
     * @param supply how it is fed
     * @param notes what to watch out for
     */
    record RoofFed(
            double wayM,
            String supply,
            @Nullable Double amps,
            @Nullable Double wireMm2,
            @Nullable Integer awg,
            @Nullable Double fuseA,
            @Nullable Double dropV,
            List<Sentence> notes) {}

    /** The place of the router; null where the plan says nothing of it. */
    @Nullable
    RoofRouterJudged judge(RoofPlan plan, Shell shell) {
        RoofRouter router = plan.router();
        RoofCable cable = plan.cable();
        if (router == null) {
            return null;
        }
        if (router.ratedC() != null) {
            InvalidInputException.naming(
                    "router.ratedC", () -> Values.within("router.ratedC", router.ratedC(), 20, 120, "°C"));
        }
        InvalidInputException.naming(
                "router.reach",
                () -> Values.within("places to be reached", router.reach().size(), 0, MOST_REACHED, ""));
        Sentence heat = WifiReach.heat(
                Boolean.TRUE.equals(router.closed()),
                Boolean.TRUE.equals(router.sunny()),
                Optionals.optional(router.ratedC()));
        Stream<Sentence> sim = Boolean.FALSE.equals(router.simInReach())
                ? Stream.of(
                        Sentence.of("Its SIM is out of reach: you would have to take it off the wall for every change."
                                + " Turn it around, or use a SIM extension."))
                : Stream.empty();
        return new RoofRouterJudged(
                Stream.concat(Stream.of(heat), sim).toList(),
                cable == null
                        ? List.of()
                        : IntStream.range(0, router.reach().size())
                                .mapToObj(i -> InvalidInputException.naming(
                                        "router.reach[" + i + "]",
                                        () -> reach(router.reach().get(i), cable, shell)))
                                .toList());
    }

    private static RoofReached reach(RoofReach wanted, RoofCable cable, Shell shell) {
        double away = new Spot(
                        Values.within("x", wanted.x(), -20, 20, "m"), Values.within("y", wanted.y(), -20, 20, "m"))
                .distanceM(new Spot(cable.deviceX(), cable.deviceY()));
        WifiReach reach = new WifiReach(
                shell, away, Boolean.TRUE.equals(wanted.outside()), wanted.walls() == null ? 0 : wanted.walls());
        return new RoofReached(
                Text.name("name", String.valueOf(wanted.name()), 60),
                away,
                reach.levelDbm(WifiReach.Band.LOW),
                reach.levelDbm(WifiReach.Band.HIGH),
                reach.good().says());
    }

    /** What feeds the router; null where the plan says nothing of it, or not where the router stands. */
    @Nullable
    RoofFed fed(RoofPlan plan, Vehicle vehicle) {
        RoofPower power = plan.power();
        RoofCable cable = plan.cable();
        if (power == null) {
            return null;
        }
        if (power.device() != null) {
            InvalidInputException.naming("power.device", () -> Text.name("power.device", power.device(), LONGEST_NAME));
        }
        PowerInput input = InvalidInputException.naming("power.peakW", () -> input(power));
        if (power.wireMm2() != null) {
            InvalidInputException.naming("power.wireMm2", () -> Wire.of(power.wireMm2()));
        }
        Spot source = InvalidInputException.naming(
                "power.sourceX",
                () -> new Spot(
                        Values.within("power.sourceX", power.sourceX(), -20, 20, "m"),
                        Values.within("power.sourceY", power.sourceY(), -20, 20, "m")));
        if (cable == null && power.wayM() == null) {
            return null;
        }
        double way = power.wayM() == null
                ? source.alongM(new Spot(cable.deviceX(), cable.deviceY())) + RoofDefaults.USUAL.dropM()
                : power.wayM();
        PowerRun run = InvalidInputException.naming("power.wayM", () -> PowerRun.of(input, vehicle.system(), way));
        Optional<Wire> wire = run.wire();
        return new RoofFed(
                way,
                Text.capital(run.supply().words(vehicle.system())),
                Optionals.boxed(run.amps()),
                wire.map(Wire::mm2).orElse(null),
                wire.map(Wire::awg).orElse(null),
                Optionals.boxed(run.fuseA()),
                Optionals.boxed(run.dropV()),
                power.wireMm2() == null ? List.of() : run.compare(power.wireMm2()));
    }

    /** As the sheet says; what is typed counts where it says nothing of the peak. */
    private PowerInput input(RoofPower power) {
        PowerInput sheet = gear.all().stream()
                .filter(item -> item.is() == GearKind.DEVICE && item.name().equalsIgnoreCase(power.device()))
                .findFirst()
                .map(item -> Parts.device(item).power())
                .orElse(PowerInput.UNKNOWN);
        return power.peakW() == null
                ? sheet
                : new PowerInput(
                        sheet.isMainsOnly(),
                        Set.copyOf(sheet.feeds()),
                        sheet.lowV(),
                        sheet.highV(),
                        sheet.passiveV(),
                        sheet.drawW(),
                        Optionals.optional(Values.within("peak draw", power.peakW(), 0.1, 2_000, "W")));
    }
}

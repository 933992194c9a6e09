package syntoma.core.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.booster.UsableGain;
import syntoma.core.chain.Chain.WiredLead;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.propagation.HeightGain;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;

/**
 * A chain as steps in dB from the air to the device at one frequency, and what that makes against the device's own antenna
 * inside the vehicle (0 dBi less the shell): the predicted ΔRSRP. Every estimate has a half-width; they add in quadrature
 * (docs/methods.md#3-chain).
 *
 * <pre>{@code
 * import syntoma.core.sentence.Sentence;
 * Staircase.Step shell = new Staircase.Step("Out of the shell", Sentence.EMPTY, OptionalDouble.of(15), 4, true);
 * Staircase.Step dome = new Staircase.Step("Alder", Sentence.EMPTY, OptionalDouble.of(5), 2, false);
 * Staircase.Step lead = new Staircase.Step("Lead", Sentence.EMPTY, OptionalDouble.of(-1.6), 0, false);
 * Staircase stairs = new Staircase(1800, List.of(dome, lead), shell, false, false);
 * stairs.netDb()       // 3.4
 * stairs.deltaDb()     // 18.4
 * stairs.halfWidthDb() // 5.4
 * }</pre>
 *
 * @param steps in order; a step without a number makes the net unknown
 * @param baseline what the device's own antenna inside loses to the shell, and how sure that is, as a gain of coming out
 * @param isShared whether the chain is behind the same shell, so that it is no doubt
 * @param isOwn whether the chain uses the device's own antenna, so that it is no doubt
 */
public record Staircase(double mhz, List<Step> steps, Step baseline, boolean isShared, boolean isOwn) {
    /** Loss of a mated pair of connectors, an estimate. */
    public static final double CONNECTOR_DB = 0.15;
    /** Loss of an adapter whose sheet does not say, an estimate. */
    public static final double ADAPTER_DB = 0.4;
    /** Half the width of a stated antenna gain. */
    public static final double GAIN_HALF_WIDTH_DB = 2;
    /** Half the width of the gain of the device's own antenna. */
    public static final double OWN_HALF_WIDTH_DB = 3;
    /** Antennas of a booster stand so far apart where nothing else is said, in m. */
    public static final double BOOSTER_APART_M = 3;
    /** A device stands so far from a booster's inside antenna, in m. */
    public static final double DEVICE_FROM_BOOSTER_M = 1;

    /** A booster's inside antenna where its sheet does not say: chosen as that of a small panel. */
    private static final double INDOOR_DBI = 3;

    private static final String SHELL = "Shell";
    private static final String OWN = "Own antenna";
    /** Half the width of the interval with a booster: chosen, because isolation on a roof is known no better. */
    private static final double BOOSTER_HALF_WIDTH_DB = 5;

    /**
     * One step.
     *
     * @param part what makes it
     * @param says the figure behind it, such as "4.5 m, 240-class"
     * @param db gain above 0, loss below; empty when the sheet does not say
     * @param halfWidthDb how far it may be off either way
     * @param isEstimated whether it is an estimate, not what a sheet states
     */
    public record Step(String part, Sentence says, OptionalDouble db, double halfWidthDb, boolean isEstimated) {}

    /** The staircase of a chain at a frequency in MHz along one lead; without one by the device's own antenna. */
    public static Staircase of(Chain chain, Optional<Wiring.Connection> along, double mhz) {
        Shell shell = chain.vehicle().shell();
        Step baseline = estimatedStep(
                "Out of the shell",
                shell.label() + ", from the device’s own antenna inside",
                shell.lossDb(mhz, Placement.INSIDE),
                Shell.HALF_WIDTH_DB);
        List<Step> steps = new ArrayList<>();
        if (along.isEmpty()) {
            addShell(steps, shell, mhz, chain.devicePlacement());
            steps.add(estimatedStep(OWN, "0 dBi", 0, OWN_HALF_WIDTH_DB));
            return new Staircase(mhz, List.copyOf(steps), baseline, chain.devicePlacement() == Placement.INSIDE, true);
        }
        WiredLead lead = along.get().lead();
        AntennaRun run = lead.run();
        addShell(steps, shell, mhz, run.placement());
        if (run.mastM() > 0) {
            double roof = chain.vehicle().heightM();
            double gain = HeightGain.db(roof, roof + run.mastM());
            steps.add(estimatedStep(
                    "Height",
                    Sentence.of(
                            Quantity.metres(roof + run.mastM(), 1), " over ground, roof ", Quantity.metres(roof, 1)),
                    gain,
                    Math.abs(gain) / 2));
        }
        OptionalDouble gain = lead.gainDbi(mhz);
        steps.add(new Step(
                run.antenna().name(),
                Sentence.of(gain.isPresent() ? "stated" : "gain not stated here"),
                gain,
                gain.isPresent() ? GAIN_HALF_WIDTH_DB : 0,
                false));
        addCables(steps, lead, mhz);
        addJoints(steps, along.get().joints());
        chain.booster().ifPresent(b -> addBooster(steps, chain, b, gain, mhz));
        // through a booster the device hears by its own antenna, as it does inside
        boolean own = chain.booster().isPresent();
        return new Staircase(mhz, List.copyOf(steps), baseline, run.placement() == Placement.INSIDE, own);
    }

    private static void addShell(List<Step> steps, Shell shell, double mhz, Placement placement) {
        if (placement.isBehindShell()) {
            steps.add(estimatedStep(
                    SHELL,
                    shell.label() + (placement == Placement.WINDOW ? ", at a window" : ""),
                    -shell.lossDb(mhz, placement),
                    Shell.HALF_WIDTH_DB));
        }
    }

    private static void addCables(List<Step> steps, WiredLead wired, double mhz) {
        Lead lead = wired.lead();
        if (lead.lengthM().isPresent() && lead.lengthM().getAsDouble() == 0) {
            // the connector sits on the antenna itself
        } else if (lead.lengthM().isEmpty() || lead.cableClass().isEmpty()) {
            steps.add(unknownStep("Lead", "length or class not stated"));
        } else {
            steps.add(cable("Lead", lead.cableClass().get(), lead.lengthM().getAsDouble(), mhz));
        }
        wired.run().extension(lead).forEach(c -> steps.add(cable("Extension", c.cableClass(), c.lengthM(), mhz)));
    }

    private static Step cable(String part, CableClass cableClass, double lengthM, double mhz) {
        double loss = cableClass.lossDb(mhz, lengthM);
        return new Step(
                part,
                Sentence.of(Quantity.metres(lengthM), ", " + cableClass.name()),
                OptionalDouble.of(-loss),
                0,
                false);
    }

    /** A pair of connectors where two ends meet, and one step for each adapter between. */
    private static void addJoints(List<Step> steps, List<Joint> joints) {
        int pairs = joints.size();
        steps.add(estimatedStep(
                pairs == 1 ? "1 connector" : pairs + " connectors",
                "estimated",
                -CONNECTOR_DB * pairs,
                CONNECTOR_DB * pairs / 2));
        for (Joint joint : joints) {
            if (joint.lacksAdapter()) {
                steps.add(estimatedStep("Adapter", "estimated", -ADAPTER_DB, ADAPTER_DB / 2));
            }
            for (Adapter adapter : joint.adapters()) {
                double loss = adapter.lossDb().orElse(ADAPTER_DB);
                steps.add(
                        adapter.lossDb().isPresent()
                                ? new Step("Adapter", Sentence.of("stated"), OptionalDouble.of(-loss), 0, false)
                                : estimatedStep("Adapter", "estimated", -loss, loss / 2));
            }
        }
    }

    private static void addBooster(
            List<Step> steps, Chain chain, Booster booster, OptionalDouble donorDbi, double mhz) {
        if (booster.gainDb().isEmpty() || donorDbi.isEmpty()) {
            steps.add(unknownStep(booster.name(), "gain not stated"));
            return;
        }
        double usable = usableGain(chain, donorDbi.getAsDouble(), mhz)
                .db(booster.gainDb().getAsDouble(), mhz);
        steps.add(estimatedStep(
                booster.name(),
                Sentence.of("stable gain, ", Quantity.metres(BOOSTER_APART_M), " apart"),
                usable,
                BOOSTER_HALF_WIDTH_DB));
        steps.add(estimatedStep(
                "Air to the device",
                Sentence.of(Quantity.metres(DEVICE_FROM_BOOSTER_M)),
                INDOOR_DBI - FreeSpace.lossDb(DEVICE_FROM_BOOSTER_M / 1000, mhz),
                BOOSTER_HALF_WIDTH_DB / 2));
    }

    /** What keeps a booster's two antennas apart in a vehicle: the usual distance, back to back, with the shell between. */
    public static UsableGain usableGain(Chain chain, double donorDbi, double mhz) {
        return new UsableGain(
                BOOSTER_APART_M,
                chain.vehicle().shell().lossDb(mhz, Placement.INSIDE),
                donorDbi - UsableGain.BACK_DB,
                INDOOR_DBI - UsableGain.BACK_DB);
    }

    private static Step unknownStep(String part, String why) {
        return new Step(part, Sentence.of(why), OptionalDouble.empty(), 0, false);
    }

    private static Step estimatedStep(String part, CharSequence says, double db, double halfWidthDb) {
        return new Step(part, Sentence.of(says), OptionalDouble.of(db), halfWidthDb, true);
    }

    /** The device's own antenna inside, in dB: 0 dBi less the shell. */
    public double baselineDb() {
        return -baseline.db().orElseThrow();
    }

    /** The steps from what the device's own antenna hears inside to what the chain brings: their sum is ΔRSRP. */
    public List<Step> fromInside() {
        List<Step> all = new ArrayList<>(List.of(baseline));
        all.addAll(steps);
        return List.copyOf(all);
    }

    /** The sum of the steps in dB; empty when one is not known. */
    public OptionalDouble netDb() {
        return steps.stream().anyMatch(s -> s.db().isEmpty())
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        steps.stream().mapToDouble(s -> s.db().getAsDouble()).sum());
    }

    /** Predicted ΔRSRP in dB against the device's own antenna inside. */
    public OptionalDouble deltaDb() {
        OptionalDouble net = netDb();
        return net.isPresent() ? OptionalDouble.of(net.getAsDouble() - baselineDb()) : net;
    }

    /**
     * Half the width of the interval of ΔRSRP: the root of the sum of the squares of all estimates, those of the device's own
     * antenna and of the shell around it among them. What is the same on both sides is no doubt: the shell where both are
     * behind all of it, the own antenna where the chain uses it.
     */
    public double halfWidthDb() {
        double squares = square(isShared ? 0 : Shell.HALF_WIDTH_DB) + square(isOwn ? 0 : OWN_HALF_WIDTH_DB);
        return Math.sqrt(squares + squaresOfChain());
    }

    /** Half the width of what the chain alone may be off by, without what it is compared with. */
    public double chainHalfWidthDb() {
        return Math.sqrt(squaresOfChain());
    }

    private double squaresOfChain() {
        return steps.stream()
                .filter(s -> !(isOwn && s.part().equals(OWN))
                        && !(isShared && s.part().equals(SHELL)))
                .mapToDouble(s -> square(s.halfWidthDb()))
                .sum();
    }

    private static double square(double value) {
        return value * value;
    }
}

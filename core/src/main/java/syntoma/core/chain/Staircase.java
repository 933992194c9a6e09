package syntoma.core.chain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.booster.UsableGain;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.propagation.HeightGain;
import syntoma.core.unit.Values;

/**
 * A chain as steps in dB from the air to the device at one frequency, and what that makes against the device's own antenna
 * inside the vehicle (0 dBi less the shell): the predicted ΔRSRP. Estimated parts have a half-width; they add in quadrature.
 *
 * @param steps in order; a step without a number makes the net unknown
 * @param baselineDb of the device's own antenna inside
 */
public record Staircase(double mhz, List<Step> steps, double baselineDb) {
    /** Loss of a mated pair of connectors, an estimate. */
    public static final double CONNECTOR_DB = 0.15;
    /** Loss of an adapter whose sheet does not say, an estimate. */
    public static final double ADAPTER_DB = 0.4;
    /** Antennas of a booster stand so far apart where nothing else is said, in m. */
    public static final double BOOSTER_APART_M = 3;
    /** A device stands so far from a booster's inside antenna, in m. */
    public static final double DEVICE_FROM_BOOSTER_M = 1;

    private static final String SHELL = "Shell";
    /** A booster's inside antenna where its sheet does not say: chosen as that of a small panel. */
    private static final double INDOOR_DBI = 3;
    /** Half the width of the interval with a booster: chosen, because isolation on a roof is known no better. */
    private static final double BOOSTER_HALF_WIDTH_DB = 5;

    /**
     * One step.
     *
     * @param part what makes it
     * @param says the figure behind it, such as "4.5 m, 240-class"
     * @param db gain above 0, loss below; empty when the sheet does not say
     * @param halfWidthDb of the estimate; 0 for a stated figure
     */
    public record Step(String part, String says, OptionalDouble db, double halfWidthDb) {
        public boolean estimated() {
            return halfWidthDb > 0;
        }
    }

    /** The staircase of a chain at a frequency in MHz, along the first cellular lead that is connected. */
    public static Staircase of(Chain chain, Wiring wiring, double mhz) {
        double shell = chain.vehicle().shell().lossDb(mhz, Placement.INSIDE);
        Optional<Wiring.Connection> first = wiring.of(Use.CELLULAR).stream().findFirst();
        List<Step> steps = new ArrayList<>();
        if (first.isEmpty()) {
            addShell(steps, chain.vehicle().shell(), mhz, chain.devicePlacement());
            steps.add(stated("Own antenna", "0 dBi", 0));
            return new Staircase(mhz, List.copyOf(steps), -shell);
        }
        AntennaRun run = first.get().lead().run();
        addShell(steps, chain.vehicle().shell(), mhz, run.placement());
        if (run.mastM() > 0) {
            double gain = HeightGain.db(mhz, run.mastM());
            steps.add(estimated("Height", Values.plain(run.mastM()) + " m above the roof", gain, Math.abs(gain) / 2));
        }
        OptionalDouble gain = run.antenna().gainDbi(mhz);
        steps.add(new Step(run.antenna().name(), gain.isPresent() ? "stated" : "gain not stated here", gain, 0));
        addCables(steps, run, first.get().lead().lead(), mhz);
        int joints = 1 + run.extension().size();
        steps.add(estimated(
                joints == 1 ? "1 connector" : joints + " connectors",
                "estimated",
                -CONNECTOR_DB * joints,
                CONNECTOR_DB * joints / 2));
        addAdapter(steps, first.get());
        chain.booster().ifPresent(b -> addBooster(steps, chain, b, gain, mhz));
        return new Staircase(mhz, List.copyOf(steps), -shell);
    }

    private static void addShell(List<Step> steps, Shell shell, double mhz, Placement placement) {
        if (placement.behindShell()) {
            steps.add(estimated(
                    SHELL,
                    shell.label() + (placement == Placement.WINDOW ? ", at a window" : ""),
                    -shell.lossDb(mhz, placement),
                    Shell.HALF_WIDTH_DB));
        }
    }

    private static void addCables(List<Step> steps, AntennaRun run, Lead lead, double mhz) {
        if (lead.lengthM().isPresent() && lead.lengthM().getAsDouble() == 0) {
            // the connector sits on the antenna itself
        } else if (lead.lengthM().isEmpty() || lead.cableClass().isEmpty()) {
            steps.add(new Step("Lead", "length or class not stated", OptionalDouble.empty(), 0));
        } else {
            steps.add(cable("Lead", lead.cableClass().get(), lead.lengthM().getAsDouble(), mhz));
        }
        run.extension().forEach(c -> steps.add(cable("Extension", c.cableClass(), c.lengthM(), mhz)));
    }

    private static Step cable(String part, CableClass cableClass, double lengthM, double mhz) {
        return stated(part, Values.plain(lengthM) + " m, " + cableClass.name(), -cableClass.lossDb(mhz, lengthM));
    }

    private static void addAdapter(List<Step> steps, Wiring.Connection connection) {
        if (connection.mates()) {
            return;
        }
        OptionalDouble loss = connection.adapter().map(Adapter::lossDb).orElse(OptionalDouble.empty());
        steps.add(
                loss.isPresent()
                        ? stated("Adapter", "stated", -loss.getAsDouble())
                        : estimated("Adapter", "estimated", -ADAPTER_DB, ADAPTER_DB / 2));
    }

    private static void addBooster(
            List<Step> steps, Chain chain, Booster booster, OptionalDouble donorDbi, double mhz) {
        if (booster.gainDb().isEmpty() || donorDbi.isEmpty()) {
            steps.add(new Step(booster.name(), "gain not stated", OptionalDouble.empty(), 0));
            return;
        }
        double usable = new UsableGain(
                        BOOSTER_APART_M,
                        chain.vehicle().shell().lossDb(mhz, Placement.INSIDE),
                        donorDbi.getAsDouble() - UsableGain.BACK_DB,
                        INDOOR_DBI - UsableGain.BACK_DB)
                .db(booster.gainDb().getAsDouble(), mhz);
        steps.add(estimated(
                booster.name(),
                "stable gain, " + Values.plain(BOOSTER_APART_M) + " m apart",
                usable,
                BOOSTER_HALF_WIDTH_DB));
        steps.add(estimated(
                "Air to the device",
                Values.plain(DEVICE_FROM_BOOSTER_M) + " m",
                INDOOR_DBI - FreeSpace.lossDb(DEVICE_FROM_BOOSTER_M / 1000, mhz),
                BOOSTER_HALF_WIDTH_DB / 2));
    }

    private static Step stated(String part, String says, double db) {
        return new Step(part, says, OptionalDouble.of(db), 0);
    }

    private static Step estimated(String part, String says, double db, double halfWidthDb) {
        return new Step(part, says, OptionalDouble.of(db), halfWidthDb);
    }

    private boolean isBaselineShell(Step step) {
        return step.part().equals(SHELL) && step.db().orElse(0) == baselineDb;
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
        return net.isPresent() ? OptionalDouble.of(net.getAsDouble() - baselineDb) : net;
    }

    /**
     * Half the width of the interval of ΔRSRP: the estimated parts and the baseline's shell, in quadrature. The shell counts
     * for nothing where both are behind all of it, since it is the same on both sides.
     */
    public double halfWidthDb() {
        boolean shared = steps.stream().anyMatch(this::isBaselineShell);
        double squares = shared ? 0 : Shell.HALF_WIDTH_DB * Shell.HALF_WIDTH_DB;
        for (Step step : steps) {
            squares += isBaselineShell(step) ? 0 : step.halfWidthDb() * step.halfWidthDb();
        }
        return Math.sqrt(squares);
    }
}

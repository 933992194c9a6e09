package syntoma.app.setup;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.gear.GearItem;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.Parts;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Connector;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Vehicle;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Builds the core's chain from a plan and the gear it names. */
final class Chains {
    private static final double LONGEST_CABLE_M = 50;
    /** What is tried where the run has no cable yet: the thinnest class that is usual for runs of some metres. */
    private static final String USUAL_CABLE = "240-class";

    private final Map<Long, GearItem> gear;
    private final Vehicle vehicle;

    Chains(Map<Long, GearItem> gear, Vehicle vehicle) {
        this.gear = gear;
        this.vehicle = vehicle;
    }

    /** What to try on the first antenna's run in place of what the plan has; empty parts stay. */
    record WhatIfRequest(@Nullable String cableClass, @Nullable Double cableM, @Nullable Double mastM) {
        boolean isEmpty() {
            return cableClass == null && cableM == null && mastM == null;
        }
    }

    /**
     * The chain of a plan.
     *
     * @throws InvalidInputException naming the part that is not there, is of another kind, or is in it twice
     */
    Chain of(ChainPlan plan, Optional<WhatIfRequest> whatIf) {
        plan.checkLengths();
        List<AntennaRun> runs = new ArrayList<>();
        for (int i = 0; i < plan.runs().size(); i++) {
            ChainPlan.Run run = plan.runs().get(i);
            AntennaRun built = InvalidInputException.naming("runs[" + i + "]", () -> run(run));
            boolean first = i == 0 && whatIf.isPresent();
            runs.add(first ? applyWhatIf(built, whatIf.get()) : built);
        }
        Placement devicePlacement =
                InvalidInputException.naming("devicePlacement", () -> Placement.fromLabel(plan.devicePlacement()));
        return InvalidInputException.naming(
                "chain",
                () -> new Chain(
                        vehicle,
                        Optional.ofNullable(plan.device()).map(id -> part(id, GearKind.DEVICE, Parts::device)),
                        devicePlacement,
                        Optional.ofNullable(plan.booster()).map(id -> part(id, GearKind.BOOSTER, Parts::booster)),
                        runs,
                        plan.adapters().stream()
                                .map(id -> part(id, GearKind.ADAPTER, Parts::adapter))
                                .toList(),
                        plan.sims().stream()
                                .map(id -> part(id, GearKind.SIM, Parts::sim))
                                .toList(),
                        plan.plugging(),
                        plan.settings()));
    }

    private AntennaRun run(ChainPlan.Run run) {
        Antenna antenna = part(run.antenna(), GearKind.ANTENNA, Parts::antenna);
        Map<String, List<Cable>> own = new HashMap<>();
        run.leadCables().forEach((label, cables) -> {
            if (antenna.leads().stream().noneMatch(l -> l.label().equals(label))) {
                throw new IllegalArgumentException("lead is " + Text.quote(label) + "; allowed is "
                        + antenna.leads().stream().map(Lead::label).collect(Collectors.joining(", ")));
            }
            own.put(label, cables(cables));
        });
        double raised = run.mount() == null ? 0 : part(run.mount(), GearKind.MOUNT, Parts::raisesM);
        return new AntennaRun(
                Long.toString(run.antenna()),
                antenna,
                cables(run.cables()),
                own,
                Placement.fromLabel(run.placement()),
                run.mastM() == 0 ? raised : run.mastM(),
                run.plateCm2() == null ? OptionalDouble.empty() : OptionalDouble.of(run.plateCm2()));
    }

    private List<Cable> cables(List<Long> ids) {
        return ids.stream().map(id -> part(id, GearKind.CABLE, Parts::cable)).toList();
    }

    /** The run with one length of cable in place of its extension, and another mast. */
    private static AntennaRun applyWhatIf(AntennaRun run, WhatIfRequest whatIf) {
        double old = run.extension().stream().mapToDouble(Cable::lengthM).sum();
        double length = whatIf.cableM() == null ? old : whatIf.cableM();
        String cableClass = whatIf.cableClass() != null
                ? whatIf.cableClass()
                : run.extension().stream()
                        .findFirst()
                        .map(c -> c.cableClass().name())
                        .orElse(USUAL_CABLE);
        double mast = whatIf.mastM() == null ? run.mastM() : whatIf.mastM();
        Connector end = run.antenna().leads().isEmpty()
                ? Connector.of("SMA-male")
                : run.antenna().leads().get(0).connector();
        InvalidInputException.naming(
                "whatIf.cableM", () -> Values.within("cable length", length, 0, LONGEST_CABLE_M, "m"));
        CableClass known = InvalidInputException.naming("whatIf.cableClass", () -> CableClass.of(cableClass));
        List<Cable> extension = length == 0
                ? List.of()
                : List.of(new Cable(length + " m of " + cableClass, known, length, end.counterpart(), end));
        return InvalidInputException.naming(
                "whatIf.mastM",
                () -> new AntennaRun(
                        run.key(), run.antenna(), extension, Map.of(), run.placement(), mast, run.plateCm2()));
    }

    private <T> T part(long id, GearKind kind, Function<GearItem, T> build) {
        GearItem item = gear.get(id);
        if (item == null) {
            throw new IllegalArgumentException("no gear has the number " + id);
        }
        if (item.is() != kind) {
            throw new IllegalArgumentException(
                    item.name() + " is a " + item.kind() + "; a " + kind.label() + " belongs here");
        }
        return build.apply(item);
    }
}

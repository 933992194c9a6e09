package syntoma.core.jobsheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import syntoma.core.chain.Shell;
import syntoma.core.power.Wire;
import syntoma.core.roof.Foot;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * What is built in, and the tasks that it takes: everything is tried loose before anything is done that cannot be undone, and nothing
 * stands before a test that could make it needless. Minutes are what it usually takes somebody who does it for the first time.
 *
 * @param antenna its name
 * @param leads how many
 * @param hole through the roof beneath it
 * @param hasMast whether it is raised on a mast
 * @param hasBooster whether a booster is built in
 * @param isOnMains whether something of it is fed through an inverter
 */
public record Build(
        String antenna,
        Foot.Fixing fixing,
        Shell shell,
        int leads,
        Hole hole,
        boolean hasMast,
        boolean hasBooster,
        boolean isOnMains) {
    /** A primed edge takes paint for so long before anything is pressed onto it. */
    static final int PAINT_DRIES_MIN = 2 * 60;

    /** A common sealant carries weight and keeps water out after so long. */
    public static final int SEALANT_CURES_MIN = 12 * 60;

    /** The bit for the first hole: small enough to be closed again. */
    static final Quantity PILOT = Quantity.millimetres(3);

    /** The step in which the gain is measured with everything loose. */
    public static final String ROOF_TEST = "roof-test";

    /** The key of the task in which the hole is marked. */
    public static final String MARK = "mark";

    /** The step in which the gain is measured when all is done. */
    public static final String PROVE = "prove";

    /**
     * A task that is added by hand, or, under the key of one of its own, what that takes instead.
     *
     * @param task with what comes before it
     * @param before the keys of those that wait for it
     */
    public record AddedTask(Task task, List<String> before) {
        public AddedTask {
            before = List.copyOf(before);
        }

        private AddedTask without(Set<String> keys) {
            return new AddedTask(
                    task.comingAfter(
                            task.after().stream().filter(k -> !keys.contains(k)).toList()),
                    before.stream().filter(k -> !keys.contains(k)).toList());
        }
    }

    /** Its tasks as they usually are. */
    public TaskList tasks() {
        return tasks(List.of(), Map.of());
    }

    /**
     * Its tasks.
     *
     * @param added by hand
     * @param learned minutes that a task of a key took before
     * @throws IllegalArgumentException naming those that wait for each other, or one that is named and missing
     */
    public TaskList tasks(List<AddedTask> added, Map<String, Integer> learned) {
        Map<String, Task> tasks = new LinkedHashMap<>();
        for (Task task : usual()) {
            Integer took = learned.get(task.key());
            tasks.put(task.key(), took == null ? task : task.taking(Math.max(1, took), task.people(), task.waitMin()));
        }
        // what hangs on a usual task that this build does not have hangs on nothing
        Set<String> elsewhere = new HashSet<>(everyKey());
        elsewhere.removeAll(tasks.keySet());
        List<AddedTask> here = added.stream()
                .filter(own -> !elsewhere.contains(own.task.key()))
                .map(own -> own.without(elsewhere))
                .toList();
        for (AddedTask own : here) {
            Task task = own.task;
            tasks.merge(task.key(), task, (is, by) -> is.taking(by.minutes(), by.people(), by.waitMin()));
        }
        for (AddedTask own : here) {
            for (String later : own.before) {
                if (tasks.computeIfPresent(later, (key, task) -> task.alsoAfter(own.task.key())) == null) {
                    throw new IllegalArgumentException(
                            own.task.name() + " comes before " + later + ", which is not on the sheet");
                }
            }
        }
        return TaskList.of(List.copyOf(tasks.values()));
    }

    /** The keys of all tasks that a build can have. */
    private static Set<String> everyKey() {
        return Arrays.stream(Foot.Fixing.values())
                .flatMap(fixing ->
                        new Build("antenna", fixing, Shell.STEEL, 1, Hole.of(0), true, true, true).usual().stream())
                .map(Task::key)
                .collect(Collectors.toSet());
    }

    private List<Task> usual() {
        return new UsualTasks(this).all();
    }

    /**
     * What the plan wants beside the build itself.
     *
     * @param extensionM that each lead is too short by; 0 where they reach
     * @param cable its class
     * @param cablesMm what the leads take in a gland; empty where they are not described
     * @param fuseA of the supply; empty, as the wire, where it is not drawn
     * @param wire of the supply
     * @param wireM of it, one way
     */
    public record CableNeeds(
            double extensionM,
            String cable,
            OptionalDouble cablesMm,
            OptionalDouble fuseA,
            Optional<Wire> wire,
            double wireM) {
        /** Nothing but the build. */
        public static final CableNeeds NOTHING =
                new CableNeeds(0, "", OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty(), 0);
    }

    /** What is bought before it begins. */
    public List<Sentence> parts(CableNeeds wanted) {
        List<CharSequence> parts = new ArrayList<>();
        if (fixing == Foot.Fixing.DRILLED) {
            parts.add(Sentence.of(hole.tool(), ", pilot drill of ", PILOT));
            parts.add(shell.isMetal() ? "primer and paint against rust for the edge" : "sealing resin for the edge");
        }
        parts.add(sealant());
        parts.add("masking tape, insulating tape for the plug ends, cleaner that leaves no grease, a cloth");
        if (wanted.extensionM > 0) {
            parts.add(Sentence.of(
                    leads + " × extension of ",
                    Quantity.metres(wanted.extensionM, 1),
                    " or a little more, " + wanted.cable));
        }
        parts.add(Sentence.of(
                "clips and ties for " + leads + " leads, grommet or gland",
                wanted.cablesMm.isPresent()
                        ? Sentence.of(" that closes around ", Quantity.millimetres(wanted.cablesMm.getAsDouble(), 1))
                        : Sentence.EMPTY));
        parts.add(
                wanted.fuseA.isPresent() && wanted.wire.isPresent()
                        ? Sentence.of(
                                "fuse of " + Values.format(wanted.fuseA.getAsDouble()) + " A with its holder, ",
                                Quantity.metres(2 * wanted.wireM, 1),
                                " of wire of ",
                                wanted.wire.get(),
                                " for both ways")
                        : "fuse and holder, wire sized to the fuse");
        return parts.stream().map(Sentence::of).toList();
    }

    /** By what the roof is of: what holds on steel tears a solvent-shy plastic. */
    String sealant() {
        return switch (shell) {
            case STEEL, ALUMINIUM -> "polyurethane or hybrid sealant for painted metal";
            case GRP ->
                "hybrid sealant without solvents, for GRP and wood (on a rubber membrane its maker’s lap sealant)";
        };
    }
}

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
import java.util.function.Consumer;
import java.util.stream.Collectors;
import syntoma.core.caution.Caution;
import syntoma.core.chain.Shell;
import syntoma.core.roof.Foot;
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
 * @param onMains whether something of it is fed through an inverter
 */
public record Build(
        String antenna,
        Foot.Fixing fixing,
        Shell shell,
        int leads,
        Hole hole,
        boolean hasMast,
        boolean hasBooster,
        boolean onMains) {
    /** A primed edge takes paint for so long before anything is pressed onto it. */
    private static final int PAINT_DRIES_MIN = 2 * 60;

    /** A common sealant carries weight and keeps water out after so long. */
    public static final int SEALANT_CURES_MIN = 12 * 60;

    /** The step in which the gain is measured with everything loose. */
    public static final String ROOF_TEST = "roof-test";

    /** The step in which the gain is measured when all is done. */
    public static final String PROVE = "prove";

    /**
     * A task that is added by hand, or, under the key of one of its own, what that takes instead.
     *
     * @param task with what comes before it
     * @param before the keys of those that wait for it
     */
    public record Added(Task task, List<String> before) {
        public Added {
            before = List.copyOf(before);
        }

        private Added without(Set<String> keys) {
            return new Added(
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
    public TaskList tasks(List<Added> added, Map<String, Integer> learned) {
        Map<String, Task> tasks = new LinkedHashMap<>();
        for (Task task : usual()) {
            Integer took = learned.get(task.key());
            tasks.put(task.key(), took == null ? task : task.taking(Math.max(1, took), task.people(), task.waitMin()));
        }
        // what hangs on a usual task that this build does not have hangs on nothing
        Set<String> elsewhere = new HashSet<>(everyKey());
        elsewhere.removeAll(tasks.keySet());
        List<Added> here = added.stream()
                .filter(own -> !elsewhere.contains(own.task.key()))
                .map(own -> own.without(elsewhere))
                .toList();
        for (Added own : here) {
            Task task = own.task;
            tasks.merge(task.key(), task, (is, by) -> is.taking(by.minutes(), by.people(), by.waitMin()));
        }
        for (Added own : here) {
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
        List<Task> tasks = new ArrayList<>();
        tryLoose(tasks);
        if (fixing == Foot.Fixing.DRILLED) {
            drill(tasks);
        }
        fix(tasks);
        wire(tasks);
        commission(tasks);
        return tasks;
    }

    /**
     * What the plan wants beside the build itself.
     *
     * @param extensionM that each lead is too short by; 0 where they reach
     * @param cable its class
     * @param cablesMm what the leads take in a gland; empty where they are not described
     * @param fuseA of the supply; empty, as the wire, where it is not drawn
     * @param wireMm2 of the supply
     * @param wireM of it, one way
     */
    public record Wanted(
            double extensionM,
            String cable,
            OptionalDouble cablesMm,
            OptionalDouble fuseA,
            OptionalDouble wireMm2,
            double wireM) {
        /** Nothing but the build. */
        public static final Wanted NOTHING =
                new Wanted(0, "", OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), 0);
    }

    /** What is bought before it begins. */
    public List<String> parts(Wanted wanted) {
        List<String> parts = new ArrayList<>();
        if (fixing == Foot.Fixing.DRILLED) {
            parts.add(hole.tool() + ", pilot drill of 3 mm");
            parts.add(shell.isMetal() ? "primer and paint against rust for the edge" : "sealing resin for the edge");
        }
        parts.add(sealant());
        parts.add("masking tape, insulating tape for the plug ends, cleaner that leaves no grease, a cloth");
        if (wanted.extensionM > 0) {
            parts.add(leads + " × extension of " + Values.rounded(wanted.extensionM, 1) + " m or a little more, "
                    + wanted.cable);
        }
        parts.add("clips and ties for " + leads + " leads, grommet or gland"
                + (wanted.cablesMm.isPresent()
                        ? " that closes around " + Values.rounded(wanted.cablesMm.getAsDouble(), 1) + " mm"
                        : ""));
        parts.add(
                wanted.fuseA.isPresent() && wanted.wireMm2.isPresent()
                        ? "fuse of " + Values.plain(wanted.fuseA.getAsDouble()) + " A with its holder, "
                                + Values.rounded(2 * wanted.wireM, 1) + " m of wire of "
                                + Values.plain(wanted.wireMm2.getAsDouble()) + " mm² for both ways"
                        : "fuse and holder, wire sized to the fuse");
        return List.copyOf(parts);
    }

    /** By what the roof is of: what holds on steel tears a solvent-shy plastic. */
    private String sealant() {
        return switch (shell) {
            case STEEL, ALUMINIUM -> "polyurethane or hybrid sealant for painted metal";
            case GRP ->
                "hybrid sealant without solvents, for GRP and wood (on a rubber membrane its maker’s lap sealant)";
        };
    }

    private void tryLoose(List<Task> tasks) {
        tasks.add(step("gather", "Lay out parts and tools", 15)
                .minding(Caution.LOCAL_RULES)
                .build());
        tasks.add(step("table", "Connect everything on a table and switch it on", 30)
                .after("gather")
                .minding(Caution.POWER_OFF, Caution.TRANSMITTING)
                .build());
        tasks.add(step(
                        "settings",
                        "Settings: APN, MTU, IPv4 and IPv6, mode, bands, Wi-Fi name, every password, firmware noted, remote access"
                                + " off or known",
                        40)
                .after("table")
                .minding(Caution.PASSWORDS, Caution.IDENTITY)
                .build());
        tasks.add(
                step("baseline", "Measure what you have now", 20).after("table").build());
        tasks.add(step("tape", "Tape " + antenna + " to its place on the roof, its leads through a window", 15)
                .after("baseline")
                .onRoof(Weather.CALM)
                .with("masking tape")
                .build());
        tasks.add(step(ROOF_TEST, "Roof test: is it worth it? If not, stop here", 60)
                .after("tape")
                .in(Weather.DRY)
                .build());
    }

    private void drill(List<Task> tasks) {
        tasks.add(step("mark", hole.marking(), 20)
                .after(ROOF_TEST)
                .onRoof(Weather.DRY)
                .with("tape measure", "pencil", "masking tape")
                .build());
        tasks.add(step("look", "Look above the ceiling for wiring, gas and rafters", 20)
                .after("mark")
                .with("torch", "screwdriver")
                .build());
        tasks.add(step("pilot", "Pilot hole of 3 mm, from inside", 10)
                .after("look")
                .last("The check across agrees; nothing is hidden there; both sides are clear.")
                .minding(Caution.DRILLING)
                .with("drill", "bit of 3 mm with a stop", "eye protection")
                .helped()
                .build());
        tasks.add(step("drill", "Drill the hole of " + hole.diameter() + ", from outside", 15)
                .after("pilot")
                .last("The pilot hole came out where it was marked.")
                .minding(Caution.DRILLING)
                .onRoof(Weather.DRY)
                .with("drill", hole.tool(), "eye protection", "vacuum cleaner")
                .build());
        tasks.add(step(
                        "edge",
                        shell.isMetal() ? "Deburr the edge, prime and paint it" : "Smooth the edge and seal it",
                        15)
                .after("drill")
                .onRoof(Weather.DRY)
                .with("round file", shell.isMetal() ? "primer, paint, brush" : "sealing resin, brush")
                .waiting(PAINT_DRIES_MIN)
                .build());
    }

    private void fix(List<Task> tasks) {
        boolean drilled = fixing == Foot.Fixing.DRILLED;
        tasks.add(step(
                        "fit",
                        drilled
                                ? "Tape up the plug ends, pass the leads and set " + antenna + " down dry"
                                : "Set " + antenna + " down dry",
                        20)
                .after(drilled ? "edge" : ROOF_TEST)
                .onRoof(Weather.DRY)
                .with("masking tape")
                .build());
        if (!drilled) {
            bringIn(tasks);
        }
        if (fixing != Foot.Fixing.MAGNET) {
            tasks.add(step("clean", clean(), 10)
                    .after("fit")
                    .onRoof(Weather.DRY)
                    .with("cleaner that leaves no grease", "cloth")
                    .build());
            tasks.add(step("seal", "Set " + antenna + " in sealant", 20)
                    .after("clean")
                    .minding(Caution.SEALING)
                    .onRoof(Weather.WARM)
                    .with(sealant(), "sealant gun", "gloves")
                    .waiting(SEALANT_CURES_MIN)
                    .last("It stands where it is to stay: adhesive gives one try.")
                    .build());
            tasks.add(step("leak-test", "Pour water over it, and look inside", 10)
                    .after("seal")
                    .onRoof(Weather.ANY)
                    .with("watering can", "torch")
                    .build());
        }
        if (hasMast) {
            tasks.add(step("mast", "Clamp the mast, raise it, lay it down again", 30)
                    .after(ROOF_TEST)
                    .minding(Caution.CLAMPING, Caution.MAST, Caution.DRIVING, Caution.LIGHTNING)
                    .onRoof(Weather.CALM)
                    .with("clamps or U-bolts", "spanner")
                    .build());
        }
    }

    /** The leads of what stands on the roof without a hole of its own come in by an opening that there is. */
    private void bringIn(List<Task> tasks) {
        tasks.add(step("open-inlet", "Open the inlet and fish a draw wire through it", 20)
                .after("fit")
                .onRoof(Weather.DRY)
                .with("screwdriver", "draw wire")
                .build());
        tasks.add(step("pull", "Tape up the plug ends, tie the leads to the draw wire and pull them in", 20)
                .after("open-inlet")
                .onRoof(Weather.DRY)
                .with("insulating tape")
                .build());
        tasks.add(step("close-inlet", "Close the inlet around the leads and seal it", 15)
                .after("pull")
                .onRoof(Weather.WARM)
                .with(sealant(), "grommet or gland")
                .waiting(fixing == Foot.Fixing.MAGNET ? 0 : SEALANT_CURES_MIN)
                .build());
    }

    private String clean() {
        return shell.isMetal()
                ? "Clean and degrease roof and foot"
                : "Clean and degrease roof and foot; a rubber membrane with soap and water only";
    }

    private void wire(List<Task> tasks) {
        tasks.add(step("route", "Lay the leads to the router, with slack and a drip loop", 45)
                .after(fixing == Foot.Fixing.DRILLED ? "fit" : "pull")
                .minding(Caution.GAS_LINE)
                .with("clips and ties", "side cutter")
                .build());
        tasks.add(step("router", "Mount the router where a SIM can be changed", 20)
                .after(ROOF_TEST)
                .with("screwdriver")
                .build());
        tasks.add(step("supply", "Run the supply from the battery, fuse first, battery last", 40)
                .after("router")
                .minding(Caution.DIRECT_CURRENT)
                .with("wire stripper", "crimping tool", "multimeter")
                .build());
        if (onMains) {
            tasks.add(step("mains", "Have the inverter’s side made", 30)
                    .after("router")
                    .minding(Caution.MAINS)
                    .build());
        }
        if (hasBooster) {
            tasks.add(step("booster", "Mount the booster and its indoor antenna", 40)
                    .after(ROOF_TEST)
                    .minding(Caution.BOOSTER, Caution.BOOSTER_ON)
                    .with("screwdriver", "drill")
                    .build());
        }
        tasks.add(step("plug", "Plug the leads in", 10)
                .after("route", "router")
                .minding(Caution.POWER_OFF, Caution.TIGHTENING, Caution.GAIN_LIMIT)
                .build());
    }

    private void commission(List<Task> tasks) {
        List<String> all = new ArrayList<>(List.of("plug", "supply", "settings"));
        if (onMains) {
            all.add("mains");
        }
        tasks.add(step("leads", "Prove every lead: unplug one at a time, and watch RSRP live", 15)
                .after(all.toArray(String[]::new))
                .build());
        List<String> before = new ArrayList<>(List.of("leads"));
        tasks.stream()
                .map(Task::key)
                .filter(key ->
                        List.of("leak-test", "close-inlet", "mast", "booster").contains(key))
                .forEach(before::add);
        tasks.add(step(PROVE, "The trial that proves the gain", 60)
                .after(before.toArray(String[]::new))
                .minding(Caution.HELP)
                .build());
    }

    private static Step step(String key, String name, int minutes) {
        return new Step(key, name, minutes);
    }

    /** A task as it is written down. */
    private static final class Step {
        private final String key;
        private final String name;
        private final int minutes;
        private List<String> after = List.of();
        private int waitMin;
        private Weather weather = Weather.ANY;
        private Optional<String> lastLook = Optional.empty();
        private List<Caution> cautions = new ArrayList<>();
        private List<String> tools = new ArrayList<>();
        private boolean helper;

        Step(String key, String name, int minutes) {
            this.key = key;
            this.name = name;
            this.minutes = minutes;
        }

        private Step set(Consumer<Step> change) {
            change.accept(this);
            return this;
        }

        Step after(String... keys) {
            return set(s -> s.after = List.of(keys));
        }

        Step waiting(int min) {
            return set(s -> s.waitMin = min);
        }

        Step in(Weather wanted) {
            return set(s -> s.weather = wanted);
        }

        Step last(String look) {
            return set(s -> s.lastLook = Optional.of(look));
        }

        Step minding(Caution... all) {
            return set(s -> s.cautions.addAll(List.of(all)));
        }

        Step with(String... all) {
            return set(s -> s.tools.addAll(List.of(all)));
        }

        /** With a second person at the other side. */
        Step helped() {
            return set(s -> s.helper = true);
        }

        /** On the roof: with a ladder and a second person who holds it. */
        Step onRoof(Weather wanted) {
            return in(wanted).minding(Caution.LADDER).with("ladder").helped();
        }

        Task build() {
            return new Task(key, name, minutes, 1, waitMin, after, weather, lastLook, cautions, tools, helper);
        }
    }
}

package syntoma.core.jobsheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import syntoma.core.caution.Caution;
import syntoma.core.chain.Shell;
import syntoma.core.roof.Foot;
import syntoma.core.sentence.Sentence;

/** The tasks of a build as they usually are, each with its tools, its weather and what can hurt at it. */
final class UsualTasks {
    private final Build build;
    private final String antenna;
    private final Foot.Fixing fixing;
    private final Shell shell;
    private final Hole hole;

    UsualTasks(Build build) {
        this.build = build;
        antenna = build.antenna();
        fixing = build.fixing();
        shell = build.shell();
        hole = build.hole();
    }

    List<Task> all() {
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
                        "Set up the router: APN, MTU, IPv4 and IPv6, mode, bands, Wi-Fi name, new passwords; note the firmware,"
                                + " turn remote access off",
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
        tasks.add(step(Build.ROOF_TEST, "Roof test: is it worth it? If not, stop here", 60)
                .after("tape")
                .in(Weather.DRY)
                .build());
    }

    private void drill(List<Task> tasks) {
        tasks.add(step(Build.MARK, hole.marking(), 20)
                .after(Build.ROOF_TEST)
                .onRoof(Weather.DRY)
                .with("tape measure", "pencil", "masking tape")
                .build());
        tasks.add(step("look", "Look above the ceiling for wiring, gas and rafters", 20)
                .after(Build.MARK)
                .with("torch", "screwdriver")
                .build());
        tasks.add(step("pilot", Sentence.of("Pilot hole of ", Build.PILOT, ", from inside"), 10)
                .after("look")
                .last("The distances from all four edges agree; nothing is hidden there; both sides are clear.")
                .minding(Caution.DRILLING)
                .with("drill", Sentence.of("bit of ", Build.PILOT, " with a stop"), "eye protection")
                .helped()
                .build());
        tasks.add(step("drill", Sentence.of("Drill the hole of ", hole.diameter(), ", from outside"), 15)
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
                .waiting(Build.PAINT_DRIES_MIN)
                .build());
    }

    private void fix(List<Task> tasks) {
        boolean drilled = fixing == Foot.Fixing.DRILLED;
        tasks.add(step(
                        "fit",
                        drilled
                                ? "Tape up the plug ends, pass the leads through and try " + antenna
                                        + " in place without sealant"
                                : "Try " + antenna + " in place without sealant",
                        20)
                .after(drilled ? "edge" : Build.ROOF_TEST)
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
                    .with(build.sealant(), "sealant gun", "gloves")
                    .waiting(Build.SEALANT_CURES_MIN)
                    .last("It is exactly where it should stay: adhesive gives one try.")
                    .build());
            tasks.add(step("leak-test", "Pour water over it, and look inside", 10)
                    .after("seal")
                    .onRoof(Weather.ANY)
                    .with("watering can", "torch")
                    .build());
        }
        if (build.hasMast()) {
            tasks.add(step("mast", "Clamp the mast, raise it, lay it down again", 30)
                    .after(Build.ROOF_TEST)
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
                .with(build.sealant(), "grommet or gland")
                .waiting(fixing == Foot.Fixing.MAGNET ? 0 : Build.SEALANT_CURES_MIN)
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
                .after(Build.ROOF_TEST)
                .with("screwdriver")
                .build());
        tasks.add(step("supply", "Run the supply from the battery, fuse first, battery last", 40)
                .after("router")
                .minding(Caution.DIRECT_CURRENT)
                .with("wire stripper", "crimping tool", "multimeter")
                .build());
        if (build.isOnMains()) {
            tasks.add(step("mains", "Have an electrician wire the inverter", 30)
                    .after("router")
                    .minding(Caution.MAINS)
                    .build());
        }
        if (build.hasBooster()) {
            tasks.add(step("booster", "Mount the booster and its indoor antenna", 40)
                    .after(Build.ROOF_TEST)
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
        if (build.isOnMains()) {
            all.add("mains");
        }
        tasks.add(step("leads", "Check every lead: unplug one at a time and watch RSRP live", 15)
                .after(all.toArray(String[]::new))
                .build());
        List<String> before = new ArrayList<>(List.of("leads"));
        tasks.stream()
                .map(Task::key)
                .filter(key ->
                        List.of("leak-test", "close-inlet", "mast", "booster").contains(key))
                .forEach(before::add);
        tasks.add(step(Build.PROVE, "Run the trial that proves the gain", 60)
                .after(before.toArray(String[]::new))
                .minding(Caution.HELP)
                .build());
    }

    private static Step step(String key, CharSequence name, int minutes) {
        return new Step(key, name, minutes);
    }

    /** A task as it is written down. */
    private static final class Step {
        private final String key;
        private final CharSequence name;
        private final int minutes;
        private List<String> after = List.of();
        private int waitMin;
        private Weather weather = Weather.ANY;
        private Optional<String> lastLook = Optional.empty();
        private List<Caution> cautions = new ArrayList<>();
        private List<Sentence> tools = new ArrayList<>();
        private boolean helper;

        Step(String key, CharSequence name, int minutes) {
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

        Step with(CharSequence... all) {
            return set(s -> Arrays.stream(all).map(Sentence::of).forEach(s.tools::add));
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
            return new Task(
                    key, Sentence.of(name), minutes, 1, waitMin, after, weather, lastLook, cautions, tools, helper);
        }
    }
}

package syntoma.core.state;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import syntoma.core.caution.Caution;
import syntoma.core.chain.Placement;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Source;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;

/**
 * From what is where to a setup in use. What is in nobody's way stays as it is: between two antennas on one device only the leads
 * are changed, and a mast that is up stays up unless the same antenna is needed at another height.
 */
final class ChangeOver {
    private final List<Move> moves = new ArrayList<>();
    private RigState state;

    private ChangeOver(RigState from) {
        state = from;
    }

    static ChangeOver between(RigState from, Arrangement next) {
        ChangeOver change = new ChangeOver(from);
        change.use(next);
        change.source(next);
        if (next.needsSim()) {
            change.sim(next);
        }
        next.antennas().forEach(change::antenna);
        change.leads(next);
        change.booster(next);
        change.place(next);
        change.bands(next);
        change.arranged(next);
        return change;
    }

    List<Move> moves() {
        return List.copyOf(moves);
    }

    RigState after() {
        return state;
    }

    private void move(Move move) {
        moves.add(move);
        state = state.after(move.action());
    }

    /** What is taken to be so without anybody doing anything. */
    private void assume(Action action) {
        state = state.after(action);
    }

    private void use(Arrangement next) {
        Action.Use use = new Action.Use(next.inUse(), state.inUse());
        if (next.whyUnknown().isPresent()) {
            if (!state.inUse().equals(next.whyUnknown())) {
                move(Move.of(Work.UNKNOWN, use, "Set up " + next.inUse() + ": Gear does not say what it is made of."));
            }
        } else if (state.inUse().isPresent()
                && !use.inUse().equals(state.inUse().get())) {
            move(Move.of(
                    Work.DEVICE,
                    use,
                    "Use " + use.inUse() + " instead of " + state.inUse().get() + "."));
        } else {
            assume(use);
        }
    }

    private void source(Arrangement next) {
        String device = next.device().name();
        if (state.sources().getOrDefault(device, Source.CELLULAR) != next.source()) {
            String to =
                    switch (next.source()) {
                        case CELLULAR -> "its SIM";
                        case CAMPGROUND_WIFI -> "the campground Wi-Fi";
                        case SATELLITE -> "satellite";
                    };
            move(Move.of(Work.SOURCE, new Action.Draw(device, next.source()), "Set " + device + " to use " + to + "."));
        }
    }

    /** A SIM of which nobody said where it is, is taken to be in the device that uses it, if there is room beside those known. */
    private void sim(Arrangement next) {
        Holder device = next.device();
        String sim = simOf(next);
        boolean isNamed = next.sims().containsKey(sim);
        if (!state.sims().containsKey(sim) && (simsIn(device).isEmpty() || isNamed && hasRoom(device))) {
            assumeIn(sim, next.carrier(), device.name());
        }
        Optional<String> in = Optional.ofNullable(state.sims().get(sim))
                .map(RigState.SimPlace::device)
                .filter(name -> !name.isEmpty());
        String active = state.active().get(device.name());
        if (in.filter(device.name()::equals).isEmpty()) {
            put(sim, next, in);
        } else if (!sim.equals(active)) {
            Action.SwitchSim to = new Action.SwitchSim(sim, device.name());
            move(Move.of(
                    Work.SIM_SLOT,
                    to,
                    "Switch " + device.name() + " to the " + simName(sim, next.carrier()) + " in its menu."));
        }
        next.sims().forEach((other, carrier) -> {
            if (!state.sims().containsKey(other) && hasRoom(device)) {
                assumeIn(other, carrier, device.name());
            }
        });
    }

    private void assumeIn(String sim, String carrier, String device) {
        String active = state.active().get(device);
        assume(new Action.PutSim(sim, carrier, Optional.empty(), device, Optional.empty()));
        if (active != null) {
            assume(new Action.SwitchSim(active, device));
        }
    }

    private void put(String sim, Arrangement next, Optional<String> from) {
        Holder device = next.device();
        Optional<String> out = hasRoom(device) ? Optional.empty() : makesRoom(device);
        String name = simName(sim, next.carrier());
        String takes = from.map(f -> "Take the " + name + " out of " + f + " and put it into " + device.name())
                .orElse("Put the " + name + " into " + device.name());
        String instead = out.map(o ->
                        ", in place of the " + simName(o, state.sims().get(o).carrier()))
                .orElse("");
        String off = from.map(f -> Text.list(List.of(f, device.name()))).orElse(device.name());
        move(Move.of(
                Work.SIM,
                new Action.PutSim(sim, next.carrier(), from, device.name(), out),
                takes + instead + ".",
                "Switch " + off + " off first: a SIM that is changed under power can be damaged or not be found."));
    }

    private boolean hasRoom(Holder device) {
        return simsIn(device).size() < device.slots();
    }

    private List<String> simsIn(Holder device) {
        return state.sims().entrySet().stream()
                .filter(e -> e.getValue().device().equals(device.name()))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The SIM that is not in use makes room; where all are, the one that is. */
    private Optional<String> makesRoom(Holder device) {
        String active = state.active().get(device.name());
        List<String> in = simsIn(device);
        return in.stream().filter(sim -> !sim.equals(active)).findFirst().or(() -> in.stream()
                .findFirst());
    }

    /** The SIM by which a setup is on its carrier: the one that its parts name, else one that is known of the carrier. */
    private String simOf(Arrangement next) {
        Optional<String> named = next.sims().entrySet().stream()
                .filter(e -> e.getValue().equals(next.carrier()))
                .map(Map.Entry::getKey)
                .findFirst();
        if (named.isPresent() && state.sims().containsKey(named.get())) {
            return named.get();
        }
        List<String> known = state.sims().entrySet().stream()
                .filter(e -> e.getValue().carrier().equals(next.carrier()))
                .map(Map.Entry::getKey)
                .filter(sim -> named.isEmpty() || sim.equals(next.carrier()))
                .toList();
        return known.stream()
                .filter(sim ->
                        state.sims().get(sim).device().equals(next.device().name()))
                .findFirst()
                .or(() -> known.stream().findFirst())
                .or(() -> named)
                .orElse(next.carrier());
    }

    /** A SIM as one calls it: by its carrier, or by its name where there are several of the carrier. */
    private String simName(String sim, String carrier) {
        long ofCarrier = state.sims().values().stream()
                .filter(place -> place.carrier().equals(carrier))
                .count();
        String name = ofCarrier > 1 ? sim : carrier;
        return name.toLowerCase(Locale.ROOT).endsWith(" sim") ? name : name + " SIM";
    }

    private void antenna(String antenna, Spot wanted) {
        Optional<Spot> now = Optional.ofNullable(state.spots().get(antenna));
        Action.PutAntenna put = new Action.PutAntenna(antenna, now, wanted);
        double from = now.map(Spot::raisedM).orElse(0.0);
        if (wanted.raisedM() > from) {
            move(Move.of(
                    Work.MAST_UP,
                    put,
                    Sentence.of("Raise " + antenna + " to ", wanted.says(), "."),
                    Caution.MAST.says()));
        } else if (wanted.raisedM() < from) {
            CharSequence to = wanted.isRaised()
                    ? Sentence.of("to ", wanted.says())
                    : wanted.placement() == Placement.WINDOW ? "and put it at the window" : "to the roof";
            move(Move.of(Work.MAST_DOWN, put, Sentence.of("Lower " + antenna + " ", to, "."), Caution.LADDER.says()));
        } else if (now.map(Spot::placement).orElse(Placement.ROOF) != wanted.placement() && isByHand(now, wanted)) {
            move(Move.of(Work.PLACE, put, Sentence.of("Put " + antenna + " ", wanted.says(), ".")));
        } else {
            assume(put);
        }
    }

    /** Between the window and anywhere else hands carry it; a mast that is down lies on the roof. */
    private static boolean isByHand(Optional<Spot> now, Spot wanted) {
        return wanted.placement() == Placement.WINDOW
                || now.filter(spot -> spot.placement() == Placement.WINDOW).isPresent();
    }

    private void leads(Arrangement next) {
        String at = next.leadsGoTo();
        SortedSet<String> off = new TreeSet<>();
        state.leads().forEach((antenna, on) -> {
            if (on.equals(at) && !next.antennas().containsKey(antenna)) {
                off.add(antenna);
            }
        });
        SortedMap<String, String> on = new TreeMap<>();
        next.antennas().keySet().forEach(antenna -> {
            String now = state.leads().getOrDefault(antenna, "");
            if (!now.equals(at)) {
                on.put(antenna, now);
            }
        });
        if (!off.isEmpty() || !on.isEmpty()) {
            move(Move.of(
                    Work.LEADS,
                    new Action.Leads(at, off, on),
                    plugText(
                            at,
                            off,
                            on,
                            next.booster().isEmpty() && next.device().isScrewOn()),
                    Caution.leads(at, on.values())));
        }
    }

    private String plugText(String at, SortedSet<String> off, SortedMap<String, String> on, boolean screwOn) {
        List<String> says = new ArrayList<>();
        if (screwOn && !state.leads().containsValue(at)) {
            says.add("unscrew the antennas that are on " + at);
        }
        List<String> loose = on.entrySet().stream()
                .filter(e -> e.getValue().isEmpty())
                .map(Map.Entry::getKey)
                .toList();
        if (!off.isEmpty()) {
            says.add("unplug the leads of " + Text.list(List.copyOf(off)) + " from " + at);
        }
        SortedMap<String, List<String>> elsewhere = new TreeMap<>();
        on.forEach((antenna, holder) -> {
            if (!holder.isEmpty()) {
                elsewhere.computeIfAbsent(holder, h -> new ArrayList<>()).add(antenna);
            }
        });
        elsewhere.forEach((holder, antennas) -> says.add(
                "unplug the leads of " + Text.list(antennas) + " from " + holder + " and plug them into " + at));
        if (!loose.isEmpty()) {
            says.add("plug the leads of " + Text.list(loose) + " into " + at);
        }
        if (screwOn && on.isEmpty()) {
            says.add("screw its own antennas back on");
        }
        String own = on.isEmpty() && !screwOn ? "; it then uses its own antennas" : "";
        return Text.capital(String.join(", then ", says)) + own + ".";
    }

    private void booster(Arrangement next) {
        if (state.booster().equals(next.booster())) {
            return;
        }
        state.booster()
                .ifPresent(on ->
                        move(Move.of(Work.BOOSTER, new Action.SwitchBooster(on, false), "Switch " + on + " off.")));
        next.booster()
                .ifPresent(off -> move(Move.of(
                        Work.BOOSTER,
                        new Action.SwitchBooster(off, true),
                        "Switch " + off + " on.",
                        Caution.BOOSTER_ON.says())));
    }

    private void place(Arrangement next) {
        String device = next.device().name();
        String now = state.places().get(device);
        Action.PutDevice put = new Action.PutDevice(device, next.place());
        if (next.whyUnknown().isPresent()) {
            return;
        }
        if (now == null || now.equals(next.place()) || next.arranged().isPresent()) {
            assume(put);
        } else {
            String to = next.place().equals(Placement.INSIDE.label()) ? "back inside" : "at the " + next.place();
            move(Move.of(Work.PLACE, put, "Put " + device + " " + to + "."));
        }
    }

    private void bands(Arrangement next) {
        String device = next.device().name();
        if (!next.bands().equals(state.bands().getOrDefault(device, RadioMode.AUTOMATIC.label()))) {
            move(Move.of(Work.BANDS, new Action.Hold(device, next.bands()), bandText(device, next.bands())));
        }
    }

    private static String bandText(String device, String bands) {
        return bands.equals(RadioMode.AUTOMATIC.label())
                ? "Let " + device + " choose its bands again."
                : "Set " + device + " to " + bands + (bands.startsWith("B") || bands.startsWith("n") ? " only." : ".");
    }

    private void arranged(Arrangement next) {
        boolean same = next.arranged().isPresent()
                ? state.arranged().filter(next.arranged().get()::isSameAs).isPresent()
                : state.arranged().isEmpty();
        if (!same) {
            Action.Arrange action = new Action.Arrange(next.arranged());
            move(next.arranged()
                    .map(how -> Move.of(how.work(), action, how.says()))
                    .orElseGet(() -> Move.of(
                            Work.PLACE,
                            action,
                            "Put things back as they were before “"
                                    + state.arranged().get().phrase() + "”.")));
        }
    }
}

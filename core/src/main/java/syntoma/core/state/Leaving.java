package syntoma.core.state;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import syntoma.core.caution.Caution;
import syntoma.core.chain.Placement;
import syntoma.core.chain.RadioMode;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;

/**
 * What to take down and put back before driving off.
 *
 * @param from what is where before any of it is done
 * @param steps in the order in which to do them; none where the vehicle can drive as it is
 */
public record Leaving(RigState from, List<Step> steps) {
    /** One of them. @param key by which it is known */
    public record Step(String key, Move move) {}

    public Leaving {
        steps = List.copyOf(steps);
    }

    /** The steps from what is where. */
    public static Leaving from(RigState state) {
        List<Step> steps = new ArrayList<>();
        SortedMap<String, Spot> up = new TreeMap<>(state.spots());
        up.values().removeIf(Spot::staysOnTheRoad);
        up.forEach((antenna, spot) -> {
            if (spot.isRaised()) {
                steps.add(new Step("mast " + antenna, lower(antenna, spot)));
            }
        });
        up.keySet().forEach(antenna -> Optional.ofNullable(state.leads().get(antenna))
                .ifPresent(at -> steps.add(new Step("leads " + antenna, unplugged(antenna, at)))));
        up.forEach((antenna, spot) -> {
            if (!spot.isRaised()) {
                steps.add(new Step("antenna " + antenna, stowed(antenna, spot)));
            }
        });
        state.places().forEach((device, place) -> {
            if (place.equals(Placement.WINDOW.label()) || place.equals(Placement.MAST.label())) {
                steps.add(new Step("device " + device, broughtIn(device, place)));
            }
        });
        state.bands().forEach((device, bands) -> steps.add(new Step("bands " + device, releaseBands(device, bands))));
        state.booster().ifPresent(on -> steps.add(new Step("booster " + on, switchedOff(on))));
        state.arranged().ifPresent(how -> steps.add(new Step("arranged", putAway(how))));
        return new Leaving(state, steps);
    }

    private static Move lower(String antenna, Spot spot) {
        return Move.of(
                Work.MAST_DOWN,
                new Action.Stow(antenna, spot),
                Sentence.of("Lower " + antenna + " and stow it: it is ", spot.says(), "."),
                Caution.DRIVING.says() + " " + Caution.LADDER.says());
    }

    private static Move unplugged(String antenna, String at) {
        return Move.of(
                Work.LEADS,
                new Action.Leads(at, new TreeSet<>(List.of(antenna)), new TreeMap<>()),
                "Unplug the leads of " + antenna + " from " + at + " and bring them in.",
                "Switch " + at + " off first.");
    }

    private static Move stowed(String antenna, Spot spot) {
        return Move.of(
                Work.PLACE,
                new Action.Stow(antenna, spot),
                "Take " + antenna + " down from the " + spot.placement().label() + ".");
    }

    private static Move broughtIn(String device, String place) {
        return Move.of(
                Work.PLACE,
                new Action.PutDevice(device, Placement.INSIDE.label()),
                "Bring " + device + " in from the " + place + ".");
    }

    private static Move releaseBands(String device, String bands) {
        return Move.of(
                Work.BANDS,
                new Action.Hold(device, RadioMode.AUTOMATIC.label()),
                "Let " + device + " choose its bands again: " + bands + " may not work at the next campsite.");
    }

    private static Move switchedOff(String booster) {
        return Move.of(Work.BOOSTER, new Action.SwitchBooster(booster, false), "Switch " + booster + " off.");
    }

    private static Move putAway(ExtraStep how) {
        return Move.of(
                Work.PLACE,
                new Action.Arrange(Optional.empty()),
                "Put things back as they were before “" + how.phrase() + "”.");
    }

    public List<Move> moves() {
        return steps.stream().map(Step::move).toList();
    }

    /** What is where when some of the steps are done. @param done their keys */
    public RigState after(Collection<String> done) {
        return from.afterAll(steps.stream()
                .filter(step -> done.contains(step.key()))
                .map(Step::move)
                .toList());
    }

    /** How far it is, in a sentence. @param left how many steps are not done */
    public static String headline(int left, boolean hasLeft) {
        if (hasLeft) {
            return "You have left. Say where you are when you arrive.";
        }
        return left == 0
                ? "Nothing is left to take down: you can drive."
                : "Before you drive: " + Text.count(left, "step") + " to do.";
    }

    /** Why the vehicle must not be driven; empty where it may be. */
    public static Optional<String> stillUp(RigState state) {
        List<String> raised = state.raisedAntennas();
        return raised.isEmpty()
                ? Optional.empty()
                : Optional.of(Text.list(raised) + (raised.size() == 1 ? " is" : " are")
                        + " still up. Lower " + (raised.size() == 1 ? "it" : "them")
                        + " and tick it before you drive off.");
    }

    /** What to ask after a drive, of what nobody has said that it was lowered. @param raised the antennas; one or more */
    public static String question(List<String> raised) {
        return Text.list(raised) + (raised.size() == 1 ? " was" : " were")
                + " up when you last said so. Is the mast down?";
    }
}

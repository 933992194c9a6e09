package syntoma.app.state;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.chain.RadioMode;
import syntoma.core.state.Leaving;
import syntoma.core.state.RigState;
import syntoma.core.state.Spot;
import syntoma.core.unit.Text;

/** What is where, as a person sees and corrects it. */
@Service
@Transactional
class StateService {
    private static final int LONGEST_BANDS = 120;

    private final RigStates states;
    private final GearOnBoard.Reader gear;

    StateService(RigStates states, GearOnBoard.Reader gear) {
        this.states = states;
        this.gear = gear;
    }

    @Transactional(readOnly = true)
    StateView view() {
        List<String> up = states.upBeforeTheDrive();
        return StateView.of(
                states.currentState(),
                gear.read(),
                up.isEmpty() ? Optional.empty() : Optional.of(new StateView.MastQuestion(up, Leaving.question(up))));
    }

    /** Answers whether what was up before the drive was lowered for it. */
    StateView answer(boolean down) {
        states.answer(down);
        return view();
    }

    /**
     * Corrects it.
     *
     * @throws InvalidInputException naming what is not on board, or a height that no mast has
     */
    StateView correct(StateController.StateCorrection asked) {
        GearOnBoard board = gear.read();
        RigState before = states.currentState();
        TreeMap<String, String> leads = new TreeMap<>(before.leads());
        TreeMap<String, Spot> spots = new TreeMap<>(before.spots());
        List<StateController.AntennaPlace> antennas = Objects.requireNonNullElse(asked.antennas(), List.of());
        for (int i = 0; i < antennas.size(); i++) {
            antenna("antennas[" + i + "]", antennas.get(i), board, leads, spots);
        }
        TreeMap<String, RigState.SimPlace> sims = new TreeMap<>(before.sims());
        TreeMap<String, String> active = new TreeMap<>(before.active());
        List<StateController.SimSlot> cards = Objects.requireNonNullElse(asked.sims(), List.of());
        for (int i = 0; i < cards.size(); i++) {
            sim("sims[" + i + "]", cards.get(i), board, sims, active);
        }
        TreeMap<String, String> bands = new TreeMap<>(before.bands());
        List<StateController.DeviceBands> devices = Objects.requireNonNullElse(asked.devices(), List.of());
        for (int i = 0; i < devices.size(); i++) {
            device("devices[" + i + "]", devices.get(i), board, bands);
        }
        Optional<String> booster = Optional.ofNullable(asked.boosterOn());
        booster.ifPresent(name -> oneOf("boosterOn", name, board.boosters()));
        RigState after = new RigState(
                before.inUse(),
                sims,
                active,
                leads,
                spots,
                booster,
                bands,
                before.sources(),
                before.places(),
                before.arranged());
        states.becomes(StateChange.Cause.CORRECTED, after);
        return view();
    }

    private static void antenna(
            String field,
            @Nullable StateController.AntennaPlace asked,
            GearOnBoard board,
            TreeMap<String, String> leads,
            TreeMap<String, Spot> spots) {
        String name = oneOf(field + ".name", asked == null ? null : asked.name(), board.antennas());
        if (asked.at() == null) {
            leads.remove(name);
        } else {
            leads.put(name, oneOf(field + ".at", asked.at(), board.leadsGoTo()));
        }
        Spot before = spots.get(name);
        if (asked.raisedM() != (before == null ? 0 : before.raisedM())) {
            InvalidInputException.naming(
                    field + ".raisedM",
                    () -> spots.put(name, asked.raisedM() == 0 ? Spot.ROOF : Spot.onMast(asked.raisedM())));
        }
    }

    private static void sim(
            String field,
            @Nullable StateController.SimSlot asked,
            GearOnBoard board,
            TreeMap<String, RigState.SimPlace> sims,
            TreeMap<String, String> active) {
        String name = oneOf(
                field + ".name",
                asked == null ? null : asked.name(),
                List.copyOf(board.sims().keySet()));
        String carrier = board.sims().get(name);
        // what was known by its carrier alone is this one
        sims.remove(carrier);
        active.values().removeIf(used -> used.equals(name) || used.equals(carrier));
        if (asked.device() == null) {
            sims.put(name, new RigState.SimPlace(carrier, ""));
            return;
        }
        String device = oneOf(field + ".device", asked.device(), board.devices());
        sims.put(name, new RigState.SimPlace(carrier, device));
        if (asked.active() || !active.containsKey(device)) {
            active.put(device, name);
        }
    }

    private static void device(
            String field,
            @Nullable StateController.DeviceBands asked,
            GearOnBoard board,
            TreeMap<String, String> bands) {
        String name = oneOf(field + ".name", asked == null ? null : asked.name(), board.devices());
        String held = InvalidInputException.naming(
                field + ".bands",
                () -> Text.name("bands", Objects.requireNonNullElse(asked.bands(), ""), LONGEST_BANDS));
        if (held.equals(RadioMode.AUTOMATIC.label())) {
            bands.remove(name);
        } else {
            bands.put(name, held);
        }
    }

    private static String oneOf(String field, @Nullable String name, List<String> allowed) {
        if (name == null || !allowed.contains(name)) {
            throw new InvalidInputException(
                    field,
                    field + " is " + Text.quote(String.valueOf(name)) + "; allowed "
                            + (allowed.isEmpty() ? "is none: Gear has none" : "are " + String.join(", ", allowed)));
        }
        return name;
    }
}

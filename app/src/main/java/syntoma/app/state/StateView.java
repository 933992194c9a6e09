package syntoma.app.state;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.core.chain.RadioMode;
import syntoma.core.state.RigState;

/**
 * What is where now.
 *
 * @param inUse the device that is used, or the setup where its parts are not known; null where nobody has said
 * @param leadsGoTo what the leads of an antenna may be on
 * @param devices what SIMs may be in
 * @param asked the question after a drive of which nobody has said what was taken down; null where there is none
 */
record StateView(
        @Nullable String inUse,
        List<PlacedAntenna> antennas,
        List<PlacedSim> sims,
        List<HeldDevice> devices,
        List<String> leadsGoTo,
        @Nullable String boosterOn,
        List<String> boosters,
        @Nullable MastQuestion asked) {
    /**
     * An antenna.
     *
     * @param at what its leads are on; null where they are loose
     * @param raisedM height above the roof; 0 for one that is not raised
     */
    record PlacedAntenna(String name, @Nullable String at, double raisedM) {}

    /** A SIM. @param device that it is in; null where it is in none */
    record PlacedSim(String name, String carrier, @Nullable String device, boolean active) {}

    /** A device. @param bands what it is held to; “automatic” where it chooses */
    record HeldDevice(String name, String bands) {}

    /** Whether something was lowered before the drive. */
    record MastQuestion(List<String> antennas, String says) {}

    /**
     * The view of a state, with what is on board beside.
     *
     * @param gear what is on board
     */
    static StateView of(RigState state, GearOnBoard gear, Optional<MastQuestion> asked) {
        return new StateView(
                state.inUse().orElse(null),
                gear.antennas().stream()
                        .map(name -> new PlacedAntenna(
                                name,
                                state.leads().get(name),
                                Optional.ofNullable(state.spots().get(name))
                                        .map(spot -> spot.raisedM())
                                        .orElse(0.0)))
                        .toList(),
                gear.sims().entrySet().stream().map(sim -> sim(sim, state)).toList(),
                gear.devices().stream()
                        .map(name ->
                                new HeldDevice(name, state.bands().getOrDefault(name, RadioMode.AUTOMATIC.label())))
                        .toList(),
                gear.leadsGoTo(),
                state.booster().orElse(null),
                gear.boosters(),
                asked.orElse(null));
    }

    /** A SIM of which only the carrier was known counts as the one of that carrier. */
    private static PlacedSim sim(Map.Entry<String, String> sim, RigState state) {
        String known = state.sims().containsKey(sim.getKey()) ? sim.getKey() : sim.getValue();
        String device = Optional.ofNullable(state.sims().get(known))
                .map(RigState.SimPlace::device)
                .filter(name -> !name.isEmpty())
                .orElse(null);
        boolean active = device != null && known.equals(state.active().get(device));
        return new PlacedSim(sim.getKey(), sim.getValue(), device, active);
    }
}

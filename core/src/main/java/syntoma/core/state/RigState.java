package syntoma.core.state;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Source;

/**
 * What is where at one moment, as far as it is known.
 *
 * @param inUse the device that is used, or the setup where its parts are not known; empty where nobody has said
 * @param sims where each SIM is, by its name
 * @param active the SIM that each device uses
 * @param leads what the leads of each antenna are plugged into; an antenna whose leads are loose is not in it
 * @param spots where each antenna is; one that is stowed is not in it
 * @param booster the booster that is on
 * @param bands what each device is held to; one that chooses is not in it
 * @param sources what each device draws on; one on a cellular network is not in it
 * @param places where each device is
 * @param arranged what else is arranged
 */
public record RigState(
        Optional<String> inUse,
        SortedMap<String, SimPlace> sims,
        SortedMap<String, String> active,
        SortedMap<String, String> leads,
        SortedMap<String, Spot> spots,
        Optional<String> booster,
        SortedMap<String, String> bands,
        SortedMap<String, Source> sources,
        SortedMap<String, String> places,
        Optional<ExtraStep> arranged) {
    /** Nobody has said anything yet. */
    public static final RigState UNKNOWN = new RigState(
            Optional.empty(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            Optional.empty(),
            new TreeMap<>(),
            new TreeMap<>(),
            new TreeMap<>(),
            Optional.empty());

    public RigState {
        sims = sort(sims);
        active = sort(active);
        leads = sort(leads);
        spots = sort(spots);
        bands = sort(bands);
        sources = sort(sources);
        places = sort(places);
    }

    /** The device that a SIM is in; empty text where it is in none. */
    public record SimPlace(String carrier, String device) {}

    private static <V> SortedMap<String, V> sort(Map<String, V> map) {
        return Collections.unmodifiableSortedMap(new TreeMap<>(map));
    }

    /** With a setup in use and all that belongs to it where it should be. */
    public static RigState with(Arrangement arrangement) {
        return UNKNOWN.after(arrangement);
    }

    /** What hands do until a setup can be used, in the order in which to do it; none where it can be used as things are. */
    public List<Move> movesTo(Arrangement next) {
        return ChangeOver.between(this, next).moves();
    }

    /** What is where when a setup is in use. */
    public RigState after(Arrangement next) {
        return ChangeOver.between(this, next).after();
    }

    /** What is where when all of some moves are done. */
    public RigState afterAll(List<Move> moves) {
        RigState state = this;
        for (Move move : moves) {
            state = state.after(move.action());
        }
        return state;
    }

    /** The antennas that are raised. */
    public List<String> raisedAntennas() {
        return spots.entrySet().stream()
                .filter(e -> e.getValue().isRaised())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** As it has to be after a drive of which nobody has said what was taken down: nothing is up that cannot be driven with. */
    public RigState driven() {
        RigState state = this;
        for (Map.Entry<String, Spot> e : spots.entrySet()) {
            if (!e.getValue().staysOnTheRoad()) {
                state = state.after(new Action.Stow(e.getKey(), e.getValue()));
            }
        }
        return state;
    }

    /** What is where after one thing was changed. */
    public RigState after(Action action) {
        if (action instanceof Action.Use use) {
            return new RigState(
                    Optional.of(use.inUse()), sims, active, leads, spots, booster, bands, sources, places, arranged);
        }
        if (action instanceof Action.PutSim put) {
            return put(put);
        }
        if (action instanceof Action.SwitchSim to) {
            return withSims(sims, edit(active, a -> a.put(to.device(), to.sim())));
        }
        if (action instanceof Action.PutAntenna put) {
            return withSpots(edit(spots, s -> s.put(put.antenna(), put.to())));
        }
        if (action instanceof Action.Stow stow) {
            return withSpots(edit(spots, s -> s.remove(stow.antenna())));
        }
        if (action instanceof Action.Leads plugged) {
            return new RigState(
                    inUse,
                    sims,
                    active,
                    edit(leads, l -> {
                        plugged.off().forEach(l::remove);
                        plugged.on().keySet().forEach(antenna -> l.put(antenna, plugged.at()));
                    }),
                    spots,
                    booster,
                    bands,
                    sources,
                    places,
                    arranged);
        }
        if (action instanceof Action.SwitchBooster to) {
            Optional<String> on = to.isOn() ? Optional.of(to.booster()) : Optional.empty();
            return new RigState(inUse, sims, active, leads, spots, on, bands, sources, places, arranged);
        }
        if (action instanceof Action.PutDevice put) {
            SortedMap<String, String> moved = edit(places, p -> p.put(put.device(), put.place()));
            return new RigState(inUse, sims, active, leads, spots, booster, bands, sources, moved, arranged);
        }
        if (action instanceof Action.Hold hold) {
            SortedMap<String, String> held = hold.bands().equals(RadioMode.AUTOMATIC.label())
                    ? edit(bands, b -> b.remove(hold.device()))
                    : edit(bands, b -> b.put(hold.device(), hold.bands()));
            return new RigState(inUse, sims, active, leads, spots, booster, held, sources, places, arranged);
        }
        if (action instanceof Action.Draw draw) {
            SortedMap<String, Source> drawn = draw.source() == Source.CELLULAR
                    ? edit(sources, s -> s.remove(draw.device()))
                    : edit(sources, s -> s.put(draw.device(), draw.source()));
            return new RigState(inUse, sims, active, leads, spots, booster, bands, drawn, places, arranged);
        }
        Optional<ExtraStep> how = ((Action.Arrange) action).how();
        return new RigState(inUse, sims, active, leads, spots, booster, bands, sources, places, how);
    }

    /** The same where a piece of gear has another name. */
    public RigState renamed(String from, String to) {
        UnaryOperator<String> name = text -> text.equals(from) ? to : text;
        return new RigState(
                inUse.map(name),
                renamed(sims, name, place -> new SimPlace(place.carrier(), name.apply(place.device()))),
                renamed(active, name, name),
                renamed(leads, name, name),
                renamed(spots, name, UnaryOperator.identity()),
                booster.map(name),
                renamed(bands, name, UnaryOperator.identity()),
                renamed(sources, name, UnaryOperator.identity()),
                renamed(places, name, UnaryOperator.identity()),
                arranged);
    }

    private static <V> SortedMap<String, V> renamed(
            SortedMap<String, V> map, UnaryOperator<String> name, UnaryOperator<V> value) {
        SortedMap<String, V> renamed = new TreeMap<>();
        map.forEach((key, was) -> renamed.put(name.apply(key), value.apply(was)));
        return renamed;
    }

    private RigState put(Action.PutSim put) {
        SortedMap<String, SimPlace> moved = edit(sims, s -> {
            put.out().ifPresent(out -> s.computeIfPresent(out, (name, was) -> new SimPlace(was.carrier(), "")));
            s.put(put.sim(), new SimPlace(put.carrier(), put.to()));
        });
        SortedMap<String, String> used = edit(active, a -> {
            put.from().ifPresent(from -> a.remove(from, put.sim()));
            a.put(put.to(), put.sim());
        });
        return withSims(moved, used);
    }

    private RigState withSims(SortedMap<String, SimPlace> moved, SortedMap<String, String> used) {
        return new RigState(inUse, moved, used, leads, spots, booster, bands, sources, places, arranged);
    }

    private RigState withSpots(SortedMap<String, Spot> moved) {
        return new RigState(inUse, sims, active, leads, moved, booster, bands, sources, places, arranged);
    }

    private interface Edit<V> {
        void on(SortedMap<String, V> map);
    }

    private static <V> SortedMap<String, V> edit(SortedMap<String, V> map, Edit<V> edit) {
        SortedMap<String, V> copy = new TreeMap<>(map);
        edit.on(copy);
        return copy;
    }
}

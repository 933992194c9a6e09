package syntoma.app.state;

import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.lang.Nullable;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Source;
import syntoma.core.sentence.Sentence;
import syntoma.core.state.ExtraStep;
import syntoma.core.state.RigState;
import syntoma.core.state.Spot;
import syntoma.core.state.Work;

/** What is where, as it is kept: labels instead of the core's own names, so that it can be read when those are others. */
record KeptState(
        @Nullable String inUse,
        Map<String, KeptSim> sims,
        Map<String, String> active,
        Map<String, String> leads,
        Map<String, KeptSpot> spots,
        @Nullable String booster,
        Map<String, String> bands,
        Map<String, String> sources,
        Map<String, String> places,
        @Nullable KeptArranged arranged) {
    /** Where a SIM is; empty text where it is in no device. */
    record KeptSim(String carrier, String device) {}

    /** Where an antenna is. */
    record KeptSpot(String placement, double raisedM) {}

    /** What is arranged. */
    record KeptArranged(Work work, String phrase, String says) {}

    static KeptState of(RigState state) {
        return new KeptState(
                state.inUse().orElse(null),
                mapped(state.sims(), sim -> new KeptSim(sim.carrier(), sim.device())),
                state.active(),
                state.leads(),
                mapped(state.spots(), spot -> new KeptSpot(spot.placement().label(), spot.raisedM())),
                state.booster().orElse(null),
                state.bands(),
                mapped(state.sources(), Source::label),
                state.places(),
                state.arranged()
                        .map(how -> new KeptArranged(
                                how.work(), how.phrase(), how.says().toString()))
                        .orElse(null));
    }

    RigState state() {
        return new RigState(
                Optional.ofNullable(inUse),
                mapped(sims, sim -> new RigState.SimPlace(sim.carrier(), sim.device())),
                new TreeMap<>(active),
                new TreeMap<>(leads),
                mapped(spots, spot -> new Spot(Placement.fromLabel(spot.placement()), spot.raisedM())),
                Optional.ofNullable(booster),
                new TreeMap<>(bands),
                mapped(sources, Source::fromLabel),
                new TreeMap<>(places),
                Optional.ofNullable(arranged)
                        .map(how -> new ExtraStep(how.work(), how.phrase(), Sentence.of(how.says()))));
    }

    private static <A, B> SortedMap<String, B> mapped(Map<String, A> from, Function<A, B> by) {
        SortedMap<String, B> to = new TreeMap<>();
        from.forEach((key, value) -> to.put(key, by.apply(value)));
        return to;
    }
}

package syntoma.standin.practice;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import syntoma.core.chain.Source;
import syntoma.core.design.Contender;
import syntoma.core.design.Noise;
import syntoma.core.design.Order;
import syntoma.core.design.Question;
import syntoma.core.run.RunKind;
import syntoma.core.state.Arrangement;
import syntoma.core.state.Holder;
import syntoma.core.state.RigState;
import syntoma.core.state.Spot;
import syntoma.core.state.Work;

/** A trial of setups that differ in their leads alone: what hands do between them is the same each time. */
public final class OfLeads {
    private static final Question.Rates RATES = Question.Rates.of(20, 5, true);

    private OfLeads() {}

    /**
     * What it is to answer.
     *
     * @param names of the setups
     * @param seed of their order
     */
    public static Question question(List<String> names, long seed) {
        return new Question(
                names.stream().map(OfLeads::contender).toList(),
                1.5,
                Noise.USUAL,
                RunKind.LIGHT,
                names.stream().map(name -> RATES).toList(),
                Work.usual(),
                RigState.UNKNOWN,
                Order.TURNING,
                seed,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Question.Saving.TIME,
                1);
    }

    private static Contender contender(String name) {
        return new Contender(
                name,
                new Arrangement(
                        Optional.empty(),
                        new Holder("Curlew", 1, Optional.empty(), false),
                        "Tarnwave",
                        new TreeMap<>(),
                        Source.CELLULAR,
                        "inside",
                        new TreeMap<>(Map.of(name, Spot.ROOF)),
                        Optional.empty(),
                        "automatic",
                        Optional.empty()));
    }
}

package syntoma.core.fit;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Wiring;

/** Connectors that do not go together need an adapter; the same ones are counted together. */
final class AdapterNeeded implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        Map<String, List<Wiring.Connection>> missing = fit.wiring().connections().stream()
                .filter(c -> c.atPort().lacksAdapter()
                        && c.lead().lead().use() == c.port().use())
                .collect(Collectors.groupingBy(
                        c -> c.atPort().neededAdapter(), LinkedHashMap::new, Collectors.toList()));
        return missing.entrySet().stream()
                .map(e -> finding(fit, e.getKey(), e.getValue()))
                .toList();
    }

    private static FitFinding finding(FitCase fit, String ends, List<Wiring.Connection> at) {
        Joint joint = at.get(0).atPort();
        boolean tight = at.size() > 1
                && fit.chain()
                                .device()
                                .map(d -> d.portSpacingMm().orElse(Double.MAX_VALUE))
                                .orElse(Double.MAX_VALUE)
                        < joint.outer().widthMm();
        Optional<Adapter> spare = fit.spares().stream()
                .filter(a -> a.bridges(joint.outer(), joint.inner()))
                .filter(a -> !(tight && a.isRigid()))
                .min(Comparator.comparingDouble(a -> a.price().orElse(Double.MAX_VALUE)));
        String what = Words.count(at.size()) + " " + ends + (at.size() == 1 ? " adapter" : " adapters")
                + (tight ? ", as pigtails" : "");
        String labels = at.stream().map(c -> c.lead().label()).collect(Collectors.joining(", "));
        String says = (at.size() == 1 ? "A lead ends in " : at.size() + " leads end in ") + joint.outer()
                + "; the port has " + joint.inner() + threads(joint) + ".";
        String fix =
                Words.capital(what) + spare.map(a -> ", such as " + a.name()).orElse("") + ".";
        return FitFinding.caution("adapter-needed", labels, says, fix)
                .with(spare.filter(a -> a.price().isPresent())
                        .map(a -> new ToBuy(
                                a.name(), at.size(), OptionalDouble.of(a.price().getAsDouble() * at.size()), false))
                        .orElse(ToBuy.about(ends + " adapter", at.size(), ToBuy.ADAPTER)));
    }

    /** Why two that look alike do not go together. */
    private static String threads(Joint joint) {
        boolean alike = joint.outer().looksLike(joint.inner()) || joint.outer().equals(joint.inner());
        if (!alike || !joint.outer().joins().startsWith("screw")) {
            return "";
        }
        return ": both have the thread " + (joint.outer().isMale() ? "inside" : "outside");
    }
}

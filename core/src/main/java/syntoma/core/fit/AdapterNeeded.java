package syntoma.core.fit;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Wiring;

/** Connectors that do not go together need an adapter; the same ones are counted together. */
final class AdapterNeeded implements FitRule {
    static final String CODE = "adapter-needed";

    @Override
    public List<FitFinding> check(FitCase fit) {

        Map<String, List<Wiring.Connection>> missing = fit.wiring().connections().stream()
                .filter(c ->
                        c.lacksAdapter() && c.lead().lead().use() == c.port().use())
                .collect(Collectors.groupingBy(
                        c -> c.lead().end().counterpart() + " to "
                                + c.port().connector().counterpart(),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return missing.entrySet().stream()
                .map(e -> finding(fit, e.getKey(), e.getValue()))
                .toList();
    }

    private static FitFinding finding(FitCase fit, String ends, List<Wiring.Connection> at) {
        Wiring.Connection first = at.get(0);
        boolean tight = at.size() > 1
                && fit.chain()
                                .device()
                                .map(d -> d.portSpacingMm().orElse(Double.MAX_VALUE))
                                .orElse(Double.MAX_VALUE)
                        < first.lead().end().widthMm();
        Optional<Adapter> spare = fit.spares().stream()
                .filter(a -> a.bridges(first.lead().end(), first.port().connector()))
                .filter(a -> !(tight && a.rigid()))
                .min(Comparator.comparingDouble(a -> a.price().orElse(Double.MAX_VALUE)));
        String what = Words.count(at.size()) + " " + ends + (at.size() == 1 ? " adapter" : " adapters")
                + (tight ? ", as pigtails" : "");
        String fix =
                Words.capital(what) + spare.map(a -> ", such as " + a.name()).orElse("") + ".";
        String labels = at.stream().map(c -> c.lead().label()).collect(Collectors.joining(", "));
        return new FitFinding(
                CODE,
                Severity.CAUTION,
                labels,
                (at.size() == 1 ? "A lead ends in " : at.size() + " leads end in ")
                        + first.lead().end() + "; the port has " + first.port().connector() + ".",
                fix,
                spare.map(a -> a.price().isPresent()
                                ? OptionalDouble.of(a.price().getAsDouble() * at.size())
                                : OptionalDouble.empty())
                        .orElse(OptionalDouble.empty()));
    }
}

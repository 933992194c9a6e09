package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.chain.Sim;
import syntoma.core.unit.Values;

/** A plan meets the need when its speed cap is at least the rate asked for, and its allowance at least the GB a month. */
final class PlanOfCard implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        List<FitFinding> findings = new ArrayList<>();
        for (Sim sim : fit.chain().isCellular() ? fit.chain().sims() : List.<Sim>of()) {
            double asked = fit.demand().rateMbps().orElse(0);
            sim.capMbps().ifPresent(cap -> {
                if (cap < asked) {
                    findings.add(FitFinding.caution(
                            "plan-cap",
                            sim.name(),
                            "The plan of " + sim.name() + " is capped at " + Values.format(cap)
                                    + " Mb/s; your need asks for " + amount(asked) + " Mb/s.",
                            "Choose a plan without that cap: no antenna helps against it."));
                }
            });
        }
        double wanted = fit.demand().gbAMonth();
        List<Sim> cards = fit.chain().isCellular() ? fit.chain().sims() : List.of();
        boolean stated =
                !cards.isEmpty() && cards.stream().allMatch(s -> s.allowanceGb().isPresent());
        double given =
                cards.stream().mapToDouble(s -> s.allowanceGb().orElse(0)).sum();
        if (stated && given < wanted) {
            findings.add(FitFinding.caution(
                    "plan-allowance",
                    cards.get(0).name(),
                    (cards.size() == 1 ? "The plan of " + cards.get(0).name() + " has " : "The plans together have ")
                            + Values.format(given) + " GB a month; your need takes about " + Values.round(wanted, 0)
                            + " GB.",
                    "Choose a larger plan, or move large transfers to another source."));
        }
        return findings;
    }

    private static String amount(double mbps) {
        return Values.format(Math.round(mbps * 10) / 10.0);
    }
}

package syntoma.core.choice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.band.Coverage;
import syntoma.core.chain.Staircase;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.power.PowerBudget;

/** A chain that could be chosen, with all that it is judged by. */
public record Candidate(Option option, FitCase fit, List<BandGain> gains, List<Purchase> toBuy) {

    /**
     * What is predicted on a band.
     *
     * @param deltaDb predicted ΔRSRP; empty where it is not known or the band does not get through
     * @param halfWidthDb of its interval
     * @param chainHalfWidthDb of the chain's own part of it, without what all candidates are compared with
     */
    public record BandGain(Coverage coverage, OptionalDouble deltaDb, double halfWidthDb, double chainHalfWidthDb) {
        /** Whether it is known: predicted, or known not to get through, which counts as 0 dB. */
        private boolean isKnown() {
            return deltaDb.isPresent() || (!coverage.isUnknown() && coverage.result() != Coverage.Result.WORKS);
        }

        private static BandGain of(FitCase fit, Coverage coverage) {
            Optional<Staircase> stairs = fit.staircase(coverage.band());
            return new BandGain(
                    coverage,
                    stairs.map(Staircase::deltaDb).orElse(OptionalDouble.empty()),
                    stairs.map(Staircase::halfWidthDb).orElse(0.0),
                    stairs.map(Staircase::chainHalfWidthDb).orElse(0.0));
        }
    }

    /**
     * Judges a chain.
     *
     * @param parts those of its parts that are not owned yet
     */
    public static Candidate of(String name, FitCase fit, List<Purchase> parts, ChoiceLimits wanted) {
        Findings findings = FitCheck.of(fit);
        List<BandGain> gains =
                fit.reach().bands().stream().map(c -> BandGain.of(fit, c)).toList();
        List<Purchase> toBuy = Purchase.of(parts, findings);
        Price price = Price.of(toBuy);
        OptionalDouble energy = PowerBudget.sum(PowerBudget.of(fit.chain(), wanted.hoursADay()));
        double battery =
                fit.chain().vehicle().batteryAh() * fit.chain().vehicle().batteryV();
        Option option = new Option(
                name,
                wanted.essentials(fit, findings, price),
                fit.reach().works(),
                fit.streams().mostStreams(),
                gains.stream()
                        .filter(BandGain::isKnown)
                        .mapToDouble(g -> g.deltaDb().orElse(0))
                        .average(),
                gains.stream().mapToDouble(BandGain::chainHalfWidthDb).average().orElse(0),
                price,
                energy,
                energy.isPresent() ? OptionalDouble.of(energy.getAsDouble() / battery) : energy);
        return new Candidate(option, fit, gains, toBuy);
    }
}

package syntoma.core.choice;

import java.util.List;
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
     */
    public record BandGain(Coverage coverage, OptionalDouble deltaDb, double halfWidthDb) {
        private static BandGain of(FitCase fit, Coverage coverage) {
            Staircase stairs = Staircase.of(
                    fit.chain(), fit.wiring(), coverage.band().downlink().middleMhz());
            return new BandGain(
                    coverage, coverage.works() ? stairs.deltaDb() : OptionalDouble.empty(), stairs.halfWidthDb());
        }
    }

    /**
     * Judges a chain.
     *
     * @param parts those of its parts that are not owned yet
     */
    public static Candidate of(String name, FitCase fit, List<Purchase> parts, Wanted wanted) {
        Findings findings = FitCheck.of(fit);
        List<BandGain> gains =
                fit.reach().bands().stream().map(c -> BandGain.of(fit, c)).toList();
        List<Purchase> toBuy = Purchase.of(parts, findings);
        OptionalDouble price = Purchase.sum(toBuy);
        Option option = new Option(
                name,
                wanted.essentials(fit, findings, price),
                fit.reach().works(),
                fit.streams(),
                gains.stream()
                        .filter(g -> g.deltaDb().isPresent())
                        .mapToDouble(g -> g.deltaDb().getAsDouble())
                        .average(),
                price,
                PowerBudget.sum(PowerBudget.of(fit.chain(), wanted.hoursADay())));
        return new Candidate(option, fit, gains, toBuy);
    }
}

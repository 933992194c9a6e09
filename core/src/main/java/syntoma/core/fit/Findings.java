package syntoma.core.fit;

import java.util.List;
import java.util.stream.Collectors;
import syntoma.core.band.Coverage;
import syntoma.core.band.Reach;
import syntoma.core.sentence.Sentence;

/** What the fit check found of one chain, the heaviest first. */
public record Findings(FitCase fit, List<FitFinding> all) {
    public Findings {
        all = List.copyOf(all);
    }

    /** Those with which the chain does not work. */
    public List<FitFinding> blockers() {
        return all.stream().filter(FitFinding::blocks).toList();
    }

    /** Whether the chain does not work. */
    public boolean isBlocked() {
        return !blockers().isEmpty();
    }

    /** What remedies cost, in the order of the findings. */
    public List<ToBuy> toBuy() {
        return all.stream().flatMap(f -> f.toBuy().stream()).toList();
    }

    /** What must be beside a predicted gain so that it is not misread; empty text where nothing must. */
    public String besideGain() {
        return fit.chain().booster().isPresent()
                ? "This is the level only. Through a booster SINR is no better than at its outside antenna, and one stream"
                        + " carries at most half of two: speed may rise little, or fall where the signal is good."
                : "";
    }

    /** What is found, as one sentence or two. */
    public Sentence headline() {
        if (fit.chain().device().isEmpty()) {
            return Sentence.of("This setup has only a name. Choose its parts to check whether they fit.");
        }
        if (isBlocked()) {
            return Sentence.of("It does not fit yet. ", blockers().get(0).says());
        }
        int kinds = toBuy().size();
        String buy = kinds == 0
                ? ""
                : ", with " + Words.count(kinds) + (kinds == 1 ? " kind of part" : " kinds of part") + " to buy";
        if (!fit.chain().isCellular()) {
            return Sentence.of(
                    "It fits",
                    buy,
                    ". It draws on ",
                    fit.chain().settings().source().label(),
                    ".");
        }
        return Sentence.of("It fits", buy, fewBands(), " ", fit.streams().sentence(fit.device()));
    }

    /** How few of the carrier's bands get through, where they are not all. */
    private String fewBands() {
        Reach reach = fit.reach();
        int through = reach.works();
        int all = reach.bands().size();
        if (through == all) {
            return ".";
        }
        String open = reach.unknown() == 0 ? "" : "; " + Words.count(reach.unknown()) + " unknown";
        if (through == 0) {
            return ", but whether a band of " + reach.carrier() + " gets through is unknown.";
        }
        String one = reach.bands().stream()
                .filter(Coverage::works)
                .map(c -> c.band().name())
                .collect(Collectors.joining());
        return ", but " + Words.count(through) + " of " + Words.count(all) + " bands of " + reach.carrier()
                + (through == 1 ? " gets through, " + one : " get through") + open + ".";
    }
}

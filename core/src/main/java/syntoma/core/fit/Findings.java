package syntoma.core.fit;

import java.util.List;

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
    public boolean blocked() {
        return !blockers().isEmpty();
    }

    /** The kinds of adapters that have to be bought. */
    public List<FitFinding> adaptersWanted() {
        return all.stream().filter(FitFinding::wantsAdapter).toList();
    }

    /** What is found, as one sentence. */
    public String headline() {
        if (fit.chain().device().isEmpty()) {
            return "This setup is known by its name alone. Choose its parts, and its fit can be checked.";
        }
        if (blocked()) {
            return "It does not fit yet. " + blockers().get(0).says();
        }
        int toBuy = adaptersWanted().size();
        String streams = " " + Words.capital(Words.count(fit.streams()))
                + (fit.streams() == 1 ? " stream reaches " : " streams reach ") + fit.device() + ".";
        return (toBuy == 0
                        ? "It fits."
                        : "It fits, with " + Words.count(toBuy) + (toBuy == 1 ? " kind of part" : " kinds of part")
                                + " to buy.")
                + streams;
    }
}

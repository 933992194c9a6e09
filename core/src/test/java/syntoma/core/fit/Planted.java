package syntoma.core.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import syntoma.core.chain.Chain;

/** A rig with one misfit in it, and how it must be said. */
record Planted(String name, Chain chain, String code, Severity severity, String says) {
    static Planted blocker(String name, Chain chain, String code, String says) {
        return new Planted(name, chain, code, Severity.BLOCKER, says);
    }

    static Planted caution(String name, Chain chain, String code, String says) {
        return new Planted(name, chain, code, Severity.CAUTION, says);
    }

    static Planted note(String name, Chain chain, String code, String says) {
        return new Planted(name, chain, code, Severity.NOTE, says);
    }

    /** It is among them with its weight and in words that name it, and they are sorted, the heaviest first. */
    void assertFoundIn(List<FitFinding> findings) {
        FitFinding found = findings.stream()
                .filter(f -> f.code().equals(code) && f.says().toString().contains(says))
                .findFirst()
                .orElseThrow(() -> new AssertionError(findings.toString()));
        assertEquals(severity, found.severity());
        List<Severity> severities = findings.stream().map(FitFinding::severity).toList();
        assertTrue(severities.stream().sorted().toList().equals(severities), "the heaviest first");
    }

    @Override
    public String toString() {
        return name;
    }
}

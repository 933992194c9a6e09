package syntoma.core.verdict;

import java.util.List;

/** What to say first of two setups that were compared on several metrics. */
public final class Headline {
    private Headline() {}

    /**
     * The whole need first where a setup misses it; then failures; then the metric that matters most, with what to do, and the next
     * one in a line where it tells something else.
     *
     * @param comparisons of one pair, at least one, the one that matters most first
     */
    public static String of(List<Comparison> comparisons, OverallVerdict overall) {
        Comparison first = comparisons.get(0);
        String baseline = first.baseline();
        String candidate = first.candidate();
        SetupChoice choice = overall.choice();
        boolean needTells =
                overall.need().knows(baseline, candidate) && !overall.need().isMostlyMetByBoth(baseline, candidate);
        if (choice.basis() == SetupChoice.Basis.FAILURES) {
            return failures(first) + (needTells ? " " + shares(choice.setup().orElseThrow(), first, overall) : "");
        }
        if (!needTells) {
            return byFigures(comparisons, overall);
        }
        if (choice.setup().isEmpty()) {
            return undecided(first, overall);
        }
        String used = choice.setup().get();
        String said = overall.need().of(used).share().metRuns() == 0
                ? "Neither met " + overall.need().name() + " in a single run: "
                        + overall.need().sharesOf(used, first.otherThan(used)) + ". Of the two use " + used + "."
                : "Use " + used + ": " + shares(used, first, overall);
        return choice.basis() == SetupChoice.Basis.FIGURE
                ? said + " "
                        + SetupChoice.deciding(comparisons, overall.needs(), overall.need())
                                .orElseThrow()
                                .claim()
                : said;
    }

    /** How often both met the need, the one to use first, and what fails. */
    private static String shares(String used, Comparison c, OverallVerdict overall) {
        String other = c.otherThan(used);
        return overall.need().shares(used, other) + overall.need().failing(used, other) + ".";
    }

    private static String undecided(Comparison first, OverallVerdict overall) {
        NeedComparison need = overall.need();
        String candidate = first.candidate();
        String baseline = first.baseline();
        boolean half =
                need.of(candidate).share().isHalf() || need.of(baseline).share().isHalf();
        return (half ? "Runs that met " + need.name() + ": " : "Neither met " + need.name() + " in half of its runs: ")
                + need.sharesOf(candidate, baseline) + ". "
                + first.headline(new OverallVerdict(List.of(), need, overall.choice()));
    }

    private static String failures(Comparison first) {
        return first.failures().sentence(first.baseline(), first.candidate()).orElseThrow()
                + (first.low().isPresent() ? " " + whenBothRun(first) : "");
    }

    private static String byFigures(List<Comparison> comparisons, OverallVerdict overall) {
        Comparison first = comparisons.get(0);
        String said = first.headline(overall);
        return comparisons.stream()
                .skip(1)
                .limit(1)
                .filter(second -> tells(second) && second.verdict() != first.verdict())
                .map(second -> said + " " + second.claim())
                .findFirst()
                .orElse(said);
    }

    private static String whenBothRun(Comparison c) {
        return switch (c.verdict()) {
            case LESS_RELIABLE, BETTER, WORSE, SLIGHTLY_BETTER, SLIGHTLY_WORSE ->
                "When both run, "
                        + new Sentences(c, OverallVerdict.NOTHING_ASKED).effect(Amount.possessive(c.candidate())) + ".";
            default -> c.claim();
        };
    }

    private static boolean tells(Comparison c) {
        return c.verdict() != Verdict.TOO_FEW && c.verdict() != Verdict.CANNOT_TELL;
    }
}

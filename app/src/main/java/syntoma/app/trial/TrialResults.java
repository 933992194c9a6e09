package syntoma.app.trial;

import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.need.Needs;
import syntoma.app.setup.SetupName;
import syntoma.core.need.Need;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.Headline;

/** What each trial came to, in a line: for the list, which shows it as soon as it is calculated. */
@Service
@Transactional(readOnly = true)
class TrialResults {
    /** A headline tells of two metrics at most. */
    private static final int SAID = 2;

    private final Plans plans;
    private final PastTrials pastTrials;
    private final Results results;
    private final Needs needs;

    TrialResults(Plans plans, PastTrials pastTrials, Results results, Needs needs) {
        this.plans = plans;
        this.pastTrials = pastTrials;
        this.results = results;
        this.needs = needs;
    }

    /**
     * One trial.
     *
     * @param setups those that were tried, in the order in which they were
     * @param line the pair that leads, on the metric that matters most; null with one setup alone
     * @param met in how many runs each setup met the need
     */
    record TrialResult(
            long campsiteId,
            String trial,
            List<SetupName> setups,
            String sentence,
            @Nullable Line line,
            @Nullable String need,
            List<ResultView.NeedMet> met) {}

    /** An interval to be drawn beside others of the same pair; a marginal difference is none that matters. */
    record Line(SetupName baseline, SetupName candidate, String label, double margin, CompareResult result) {}

    List<TrialResult> all() {
        PastTrials.Reading trials = pastTrials.read();
        List<Need> asked = needs.chosenNeeds();
        return plans.measuredTrials().stream()
                .map(row -> result(row, trials, asked))
                .toList();
    }

    private TrialResult result(Plans.TrialRow row, PastTrials.Reading trials, List<Need> asked) {
        SetupComparison compared = results.compare(PastTrials.Key.of(row.trial()), trials, asked, SAID);
        List<ResultView.NeedMet> met = compared.needMet();
        String need = compared.needName();
        if (compared.contrasts().isEmpty()) {
            return new TrialResult(
                    row.trial().campsiteId(),
                    row.trial().name(),
                    compared.setups(),
                    "Only one setup was measured, so there is nothing to compare.",
                    null,
                    need,
                    met);
        }
        List<Comparison> leading = compared.leading();
        return new TrialResult(
                row.trial().campsiteId(),
                row.trial().name(),
                compared.setups(),
                Headline.of(leading, compared.overall(leading)),
                line(leading.get(0), compared),
                need,
                met);
    }

    private static Line line(Comparison c, SetupComparison compared) {
        Figure metric = c.metric();
        return new Line(
                compared.setup(c.baseline()),
                compared.setup(c.candidate()),
                Text.capital(metric.measure().phrase()),
                metric.scale().off(metric.scale().margin()),
                CompareResult.of(c));
    }
}

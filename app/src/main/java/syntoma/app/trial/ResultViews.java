package syntoma.app.trial;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.setup.SetupName;
import syntoma.core.design.Advice;
import syntoma.core.design.BandStage;
import syntoma.core.design.Contender;
import syntoma.core.design.FollowingTrial;
import syntoma.core.design.Grid;
import syntoma.core.design.Screening;
import syntoma.core.need.Threshold;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Blocks;
import syntoma.core.verdict.Cautions;
import syntoma.core.verdict.CellsApart;
import syntoma.core.verdict.Circumstances;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.FactorialComparison;
import syntoma.core.verdict.Headline;
import syntoma.core.verdict.JudgingRules;
import syntoma.core.verdict.MeasuredGain;
import syntoma.core.verdict.OverallVerdict;
import syntoma.core.verdict.Plan;
import syntoma.core.verdict.SetupChoice;

/** Comparisons as they are shown: each pair with its sentence, what to do, and what could still be wrong; a grid as one. */
@Component
class ResultViews {
    /** Of a grid’s figures so many are told. */
    private static final int OF_GRID = 4;

    private final Entrants entrants;
    private final Gains gains;
    private final Pace pace;

    private final KnownFaults faults;

    ResultViews(Entrants entrants, Gains gains, Pace pace, KnownFaults faults) {
        this.entrants = entrants;
        this.gains = gains;
        this.pace = pace;
        this.faults = faults;
    }

    /**
     * Within what a comparison stands.
     *
     * @param trial of which it is the result; empty when it is of a stay
     * @param judgedBy the planned trial that a stay is judged by
     * @param setupsThere all setups that were measured there
     * @param runsLeftOut measurements there that are not part of it
     */
    record Setting(Optional<String> trial, Optional<String> judgedBy, List<SetupName> setupsThere, int runsLeftOut) {
        /** A comparison of all there is, in a trial or without one. */
        static Setting own(Optional<PastTrials.Key> trial, SetupComparison compared) {
            return new Setting(trial.map(PastTrials.Key::name), Optional.empty(), compared.setups(), 0);
        }
    }

    ResultView of(String campsite, SetupComparison compared, Optional<Integer> planned, Setting setting) {
        List<LoggedMeasurement> made = compared.measurements();
        ZoneOffset offset = made.get(0).takenAt().getOffset();
        Circumstances under = circumstances(made, compared.cast().isAcrossCarriers());
        boolean inFamily = setting.judgedBy.isPresent();
        int setups = inFamily
                ? statedValues(made, LoggedMeasurement::setup).size()
                : compared.setups().size();
        JudgingRules judged = new JudgingRules(
                planned.isPresent(),
                setups * (setups - 1) / 2,
                setting.runsLeftOut,
                inFamily ? 0 : setting.setupsThere.size() - setups);
        Map<String, Contender> contenders = entrants.of(compared);
        List<ResultView.Contrast> contrasts = compared.leadingFirst().stream()
                .map(all -> contrast(all, compared, contenders, under, judged, offset))
                .toList();
        return new ResultView(
                campsite,
                setting.trial.orElse(null),
                made.get(0).takenAt(),
                made.get(made.size() - 1).takenAt(),
                Blocks.forOutcomes(compared.samples(Figure.UP_MBPS)).size(),
                planned.orElse(null),
                statedValues(made, LoggedMeasurement::carrier),
                statedValues(made, LoggedMeasurement::server),
                setting.setupsThere,
                compared.baseline(),
                setting.judgedBy.orElse(null),
                contrasts.size() > 1,
                compared.needName(),
                compared.needMet(),
                contrasts,
                grid(compared, contenders, planned),
                next(compared));
    }

    /** The trial that follows; null where none does. */
    @Nullable
    private static ResultView.NextTrial next(SetupComparison compared) {
        List<FollowingTrial.TriedSetup> tried = compared.cast().plan().stream()
                .flatMap(plan -> plan.contenders.stream())
                .map(c -> new FollowingTrial.TriedSetup(
                        c.setup, Objects.requireNonNullElse(c.carrier, ""), c.variation()))
                .toList();
        List<Comparison> against = compared.firsts();
        return Screening.after(tried, against, compared.need())
                .or(() -> BandStage.after(tried, against))
                .map(ResultView.NextTrial::of)
                .orElse(null);
    }

    private ResultView.Contrast contrast(
            List<Comparison> all,
            SetupComparison compared,
            Map<String, Contender> contenders,
            Circumstances under,
            JudgingRules judged,
            ZoneOffset offset) {
        Comparison first = all.get(0);
        OverallVerdict overall = compared.overall(all);
        List<MeasuredGain> bands = compared.cast().isAcrossCarriers()
                ? List.of()
                : gains.inTrial(
                        compared.setup(first.candidate()),
                        compared.setup(first.baseline()),
                        compared.samples(Figure.RSRP_DBM));
        return new ResultView.Contrast(
                compared.setup(first.baseline()),
                compared.setup(first.candidate()),
                Headline.of(all, overall),
                CellsApart.sentence(first, servingCells(compared.measurements()))
                        .orElse(null),
                all.stream().map(c -> ResultView.Effect.of(c, overall, offset)).toList(),
                cautions(all, under, judged, compared.measurements()),
                judged.sentences(first),
                action(first, overall.choice(), contenders),
                bands.stream().map(Gains::view).toList(),
                bands.stream().anyMatch(MeasuredGain::fallsShort) ? MeasuredGain.USUAL_CAUSES : "");
    }

    /** What could be wrong, a fault of one of the two first. */
    private List<String> cautions(
            List<Comparison> all, Circumstances under, JudgingRules judged, List<LoggedMeasurement> made) {
        Comparison first = all.get(0);
        List<KnownFaults.Fault> known = faults.of(
                List.of(first.baseline(), first.candidate()),
                made.get(made.size() - 1).takenAt());
        List<String> said =
                new ArrayList<>(known.stream().map(KnownFaults.Fault::sentence).toList());
        said.addAll(Cautions.of(all, under, judged));
        return said;
    }

    private static List<CellsApart.CellOfRound> servingCells(List<LoggedMeasurement> made) {
        return made.stream()
                .map(m -> new CellsApart.CellOfRound(
                        m.setup(),
                        m.takenAt().toInstant(),
                        Objects.requireNonNullElse(m.cellId(), ""),
                        Objects.requireNonNullElse(m.band(), "")))
                .toList();
    }

    /** Where the carriers are what is compared, that there are several is no circumstance. */
    private static Circumstances circumstances(List<LoggedMeasurement> made, boolean acrossCarriers) {
        return Circumstances.of(made.stream()
                .map(m -> new Circumstances.MeasuredWhere(
                        m.takenAt(),
                        acrossCarriers || m.carrier() == null ? "" : m.carrier(),
                        m.server() == null ? "" : m.server()))
                .toList());
    }

    private static List<String> statedValues(List<LoggedMeasurement> made, Function<LoggedMeasurement, String> part) {
        return made.stream().map(part).filter(v -> v != null).distinct().toList();
    }

    /** What to do with a verdict. */
    private String action(Comparison first, SetupChoice choice, Map<String, Contender> contenders) {
        Contender baseline = contenders.get(first.baseline());
        Contender candidate = contenders.get(first.candidate());
        return Advice.of(
                baseline,
                candidate,
                first.verdict(),
                choice.side(first),
                pace.minutes(),
                !baseline.carrier().equals(candidate.carrier()));
    }

    /** What each factor does where the setups cross two; null where they do not, or too few rounds are whole. */
    @Nullable
    private static GridView grid(
            SetupComparison compared, Map<String, Contender> contenders, Optional<Integer> planned) {
        List<SetupName> setups = compared.setups();
        Optional<Grid> grid =
                Grid.of(setups.stream().map(s -> contenders.get(s.name())).toList());
        return grid.map(g -> grid(g, compared, planned)).orElse(null);
    }

    @Nullable
    private static GridView grid(Grid grid, SetupComparison compared, Optional<Integer> planned) {
        List<List<String>> names = Arrays.stream(grid.cells())
                .map(row -> Arrays.stream(row)
                        .mapToObj(i -> compared.setups().get(i).name())
                        .toList())
                .toList();
        FactorialComparison crossed = new FactorialComparison(
                grid.across().says(), grid.columns(), grid.down().says(), grid.rows(), names);
        Optional<Plan> plan = planned.map(rounds -> new Plan(rounds, Optional.empty()));
        List<GridView.Figure> figures = new ArrayList<>();
        Threshold.askedFirst(
                        Figure.comparedFigures(
                                f -> compared.measurements().stream().anyMatch(m -> m.value(f) != null)),
                        compared.needs())
                .stream()
                .limit(OF_GRID)
                .forEach(metric -> crossed.judge(metric, compared.samples(metric), plan)
                        .ifPresent(said -> figures.add(GridView.Figure.of(said))));
        return figures.isEmpty()
                ? null
                : new GridView(crossed.across(), crossed.columns(), crossed.down(), crossed.rows(), names, figures);
    }
}

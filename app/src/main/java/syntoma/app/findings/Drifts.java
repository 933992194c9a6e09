package syntoma.app.findings;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StayTime;
import syntoma.app.platform.Optionals;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupService;
import syntoma.core.band.Bands;
import syntoma.core.chain.Staircase;
import syntoma.core.finding.ChangePoint;
import syntoma.core.finding.Contrast;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Drift;
import syntoma.core.finding.Finder;
import syntoma.core.finding.Finding;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Median;
import syntoma.core.unit.Values;

/** Measured less predicted, per setup over the trip: RSRP less what the chain brings on the band in use. */
@Service
@Transactional(readOnly = true)
class Drifts {
    private static final Criterion LEVEL = Criterion.of(Figure.RSRP_DBM);

    /** How far apart, measured and predicted are said not to agree: the chain fault of docs/methods.md#3-chain. */
    private static final double APART_DB = 6;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final FindingsService findings;
    private final Selecting selecting;
    private final SetupService chains;
    private final FitService fits;

    Drifts(FindingsService findings, Selecting selecting, SetupService chains, FitService fits) {
        this.findings = findings;
        this.selecting = selecting;
        this.chains = chains;
        this.fits = fits;
    }

    FindingsView.DriftsView view(FindingsRequest request) {
        return view(findings.find(ComparedKind.SETUPS, LEVEL, request.baseline(), request.filter()));
    }

    /** By what was found of the level. */
    FindingsView.DriftsView view(FindingsService.FindingsAnswer found) {
        Selecting.Selection selection = found.selection();
        int baseline = selection.names().indexOf(found.query().baseline());
        if (baseline < 0 || found.finding().isEmpty()) {
            return new FindingsView.DriftsView(null, "No level was measured yet.", List.of());
        }
        TripLog.Snapshot log = selection.log();
        double[] levels = log.figure(Figure.RSRP_DBM);
        double[] above = aboveChainGain(log, levels);
        Selecting.Selection less =
                selecting.select(log, ComparedKind.SETUPS, found.query().filter(), above, levels);
        Map<String, Contrast> effects = new HashMap<>();
        List<Drift> drifts = List.of();
        int lessBaseline = less.names().indexOf(found.query().baseline());
        if (lessBaseline >= 0) {
            new Finder(less.trip(), LEVEL, less.names(), found.query().baseline(), List.of())
                    .find()
                    .units()
                    .forEach(u -> effects.put(u.name(), u.effect()));
            drifts = Drift.of(less.trip(), LEVEL, less.names(), lessBaseline);
        }
        FindingsService.StayCount stayed = findings.stayed(log);
        Map<String, Integer> pennants = findings.pennants();
        List<FindingsView.DriftView> views = new ArrayList<>();
        for (Drift drift : drifts) {
            Finding.Unit measured = found.finding().get().unit(drift.unit());
            Contrast over = effects.get(drift.unit());
            boolean isBaseline = drift.unit().equals(found.query().baseline());
            OptionalDouble predicted =
                    over.estimate().isPresent() && measured.effect().estimate().isPresent()
                            ? OptionalDouble.of(measured.effect().estimate().getAsDouble()
                                    - over.estimate().getAsDouble())
                            : OptionalDouble.empty();
            views.add(new FindingsView.DriftView(
                    drift.unit(),
                    pennants.get(drift.unit()),
                    Optionals.boxed(predicted),
                    Optionals.boxed(measured.effect().estimate()),
                    isBaseline ? null : Optionals.boxed(measured.effect().low()),
                    isBaseline ? null : Optionals.boxed(measured.effect().high()),
                    measured.effect().blocks(),
                    measured.effect().stays(),
                    isBaseline ? "what the others are compared with" : sentence(drift.unit(), over),
                    weeks(drift),
                    drift.points().stream()
                            .map(p -> new FindingsView.DriftPoint(
                                    stayed.times().containsKey(p.stay()) ? p.stay() : null,
                                    stayed.campsite(p.stay()),
                                    local(p, stayed),
                                    p.value()))
                            .toList(),
                    drift.change().map(change -> change(drift, change, stayed)).orElse(null)));
        }
        return new FindingsView.DriftsView(found.query().baseline(), headline(views), views);
    }

    /** RSRP less the gain of the chain on the band in use; NaN where either is not known. */
    private double[] aboveChainGain(TripLog.Snapshot log, double[] levels) {
        FitService.Ground ground = fits.ground();
        Map<Long, SetupService.PlannedSetup> plans = chains.plans();
        Map<Integer, double[]> gains = new HashMap<>();
        plans.forEach((id, planned) -> {
            if (planned.plan().device() != null) {
                gains.put(id.intValue(), gains(planned, ground, log.bands()));
            }
        });
        double[] above = new double[log.size()];
        for (int place = 0; place < above.length; place++) {
            double[] own = gains.get(log.columns().setup(place));
            int band = log.columns().band(place);
            above[place] = own == null || band == Columns.NONE ? Double.NaN : levels[place] - own[band];
        }
        return above;
    }

    private static double[] gains(SetupService.PlannedSetup planned, FitService.Ground ground, List<String> bands) {
        var fit = FitService.fit(planned.plan(), ground);
        return bands.stream()
                .mapToDouble(name -> Bands.all().stream()
                        .filter(band -> band.name().equals(name))
                        .findFirst()
                        .flatMap(fit::staircase)
                        .map(Staircase::deltaDb)
                        .orElse(OptionalDouble.empty())
                        .orElse(Double.NaN))
                .toArray();
    }

    private static String sentence(String setup, Contrast over) {
        if (over.estimate().isEmpty()) {
            return "not measured beside another";
        }
        if (over.low().isEmpty() || over.stays() < Finder.FEWEST_STAYS) {
            return "measured beside another at " + over.stays() + (over.stays() == 1 ? " stay" : " stays")
                    + "; from four on it can be said";
        }
        double high = over.high().getAsDouble();
        double low = over.low().getAsDouble();
        if (high < -APART_DB) {
            return setup + " brings at least " + Values.round(-high, 0)
                    + " dB less than predicted: something in its chain is faulty";
        }
        if (low > APART_DB) {
            return setup + " brings at least " + Values.round(low, 0)
                    + " dB more than predicted: look at what its sheets say, or at the baseline’s chain";
        }
        return low <= 0 && high >= 0
                ? "about as predicted"
                : Values.round(Math.abs(over.estimate().getAsDouble()), 1) + " dB " + (high < 0 ? "less" : "more")
                        + " than predicted";
    }

    private static List<FindingsView.WeekView> weeks(Drift drift) {
        Map<String, List<Double>> weeks = new TreeMap<>();
        drift.points().forEach(p -> weeks.computeIfAbsent(
                        at(p.atNanos())
                                .toLocalDate()
                                .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                                .toString(),
                        w -> new ArrayList<>())
                .add(p.value()));
        return weeks.entrySet().stream()
                .map(e -> new FindingsView.WeekView(
                        e.getKey(), Median.of(e.getValue()), e.getValue().size()))
                .toList();
    }

    private static OffsetDateTime at(long nanos) {
        return Instant.ofEpochSecond(0, nanos).atOffset(ZoneOffset.UTC);
    }

    private static OffsetDateTime local(Drift.Point point, FindingsService.StayCount stayed) {
        StayTime stay = stayed.times().get(point.stay());
        return stay == null
                ? at(point.atNanos())
                : at(point.atNanos()).withOffsetSameInstant(stay.arrivedAt().getOffset());
    }

    private static FindingsView.ChangeView change(Drift drift, ChangePoint change, FindingsService.StayCount stayed) {
        OffsetDateTime at = local(drift.points().get(change.first()), stayed);
        double by = change.after() - change.before();
        return new FindingsView.ChangeView(
                at,
                change.before(),
                change.after(),
                change.p(),
                "Something changed for " + drift.unit() + " on or about " + DAY.format(at) + ": "
                        + Values.round(Math.abs(by), 1) + " dB " + (by < 0 ? "less" : "more")
                        + " from then on." + (by < 0 ? " Look at its leads and connectors." : ""));
    }

    private static String headline(List<FindingsView.DriftView> views) {
        Optional<FindingsView.DriftView> worst =
                views.stream().filter(view -> view.change() != null).max(Comparator.comparingDouble(Drifts::fall));
        if (worst.isPresent()) {
            return worst.get().change().sentence();
        }
        return views.isEmpty()
                ? "No level was measured beside another with a chain that is known."
                : "No sign that any setup changed during the trip.";
    }

    private static double fall(FindingsView.DriftView view) {
        return Math.abs(view.change().afterDb() - view.change().beforeDb());
    }
}

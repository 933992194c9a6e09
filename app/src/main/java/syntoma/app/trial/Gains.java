package syntoma.app.trial;

import static syntoma.app.platform.Optionals.boxed;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupMeasurements;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.SetupService.PlannedSetup;
import syntoma.app.setup.Setups;
import syntoma.core.chain.Staircase;
import syntoma.core.fit.FitCase;
import syntoma.core.reading.Figure;
import syntoma.core.trial.Sample;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.MeasuredGain;

/** What a setup brings by measurement, beside what its chain is predicted to bring, band by band. */
@Service
@Transactional(readOnly = true)
public class Gains {
    /** Of the two setups together; the latest count. */
    private static final int MOST_MEASUREMENTS = 20_000;

    private final Setups setups;
    private final SetupService chains;
    private final FitService fits;
    private final SetupMeasurements measured;
    private final Measurements measurements;

    Gains(Setups setups, SetupService chains, FitService fits, SetupMeasurements measured, Measurements measurements) {
        this.setups = setups;
        this.chains = chains;
        this.fits = fits;
        this.measured = measured;
        this.measurements = measurements;
    }

    /** On one band, in dB; what is not known is null. */
    record BandGainView(
            String band,
            @Nullable Double predictedDb,
            double halfWidthDb,
            @Nullable Double estimateDb,
            @Nullable Double lowDb,
            @Nullable Double highDb,
            int blocks,
            boolean fallsShort,
            String sentence) {}

    /**
     * The gains against another setup.
     *
     * @param against null where nothing else was measured
     * @param ownAntenna whether that is the device's own antenna inside
     * @param others what it can be compared with, the usual choice first
     * @param causes what to look for where it falls short; empty text where it does not
     */
    record GainsView(
            @Nullable SetupName against,
            boolean ownAntenna,
            List<SetupName> others,
            List<BandGainView> bands,
            String causes) {}

    /**
     * A setup against another one, or against the device's own antenna inside where that was measured.
     *
     * @throws NotFoundException when there is no such setup
     */
    GainsView of(String name, Optional<String> wanted) {
        SetupName setup = setups.of(name);
        wanted.ifPresent(other -> Comparisons.refuseOne(name, other));
        Map<Long, PlannedSetup> plans = chains.plans();
        ChainPlan own = plans.get(setup.id()).plan();
        Map<Long, Long> counts = measured.perSetup();
        List<SetupName> others = setups.all().stream()
                .filter(s -> s.id() != setup.id() && counts.getOrDefault(s.id(), 0L) > 0)
                .sorted(Comparator.comparing(
                                (SetupName s) -> !plans.get(s.id()).plan().isOwnAntennaOf(own))
                        .thenComparing(s -> -counts.get(s.id())))
                .toList();
        Optional<SetupName> against =
                wanted.map(setups::of).or(() -> others.stream().findFirst());
        if (against.isEmpty() || own.device() == null) {
            return new GainsView(null, false, others, List.of(), "");
        }
        boolean bare = plans.get(against.get().id()).plan().isOwnAntennaOf(own);
        List<MeasuredGain> gains =
                gains(setup, own, against.get(), plans.get(against.get().id()).plan(), bare);
        return new GainsView(
                against.get(),
                bare,
                others,
                gains.stream().map(Gains::view).toList(),
                gains.stream().anyMatch(MeasuredGain::fallsShort) ? MeasuredGain.USUAL_CAUSES : "");
    }

    /** By how much at least a setup was measured beneath its prediction on some band, in dB; 0 where on none. */
    public double shortDb(String name) {
        return of(name, Optional.empty()).bands().stream()
                .filter(BandGainView::fallsShort)
                .mapToDouble(b -> b.predictedDb() - b.highDb())
                .max()
                .orElse(0);
    }

    private List<MeasuredGain> gains(
            SetupName setup, ChainPlan plan, SetupName against, ChainPlan other, boolean bare) {
        return gains(setup, plan, against, other, bare, samples(setup.name(), against.name()));
    }

    /** The bands on which two setups were measured side by side in a trial; none where a chain is not known. */
    List<MeasuredGain> inTrial(SetupName setup, SetupName against, List<Sample> samples) {
        Map<Long, PlannedSetup> plans = chains.plans();
        if (!plans.containsKey(setup.id()) || !plans.containsKey(against.id())) {
            // made or deleted by somebody else between two looks
            return List.of();
        }
        ChainPlan own = plans.get(setup.id()).plan();
        ChainPlan other = plans.get(against.id()).plan();
        if (own.device() == null || other.device() == null) {
            return List.of();
        }
        return gains(setup, own, against, other, other.isOwnAntennaOf(own), samples).stream()
                .filter(gain -> !gain.comparison().rounds().isEmpty())
                .toList();
    }

    private List<MeasuredGain> gains(
            SetupName setup, ChainPlan plan, SetupName against, ChainPlan other, boolean bare, List<Sample> samples) {
        FitService.Ground ground = fits.ground();
        FitCase own = FitService.fit(plan, ground);
        FitCase base = FitService.fit(other, ground);
        return own.reach().working().stream()
                .map(band -> {
                    Optional<Staircase> stairs = own.staircase(band);
                    Optional<Staircase> from = base.staircase(band);
                    List<Sample> here = samples.stream()
                            .filter(s -> s.band().equals(band.name()))
                            .toList();
                    return new MeasuredGain(
                            band.name(),
                            predictedDifference(stairs, from),
                            halfWidth(stairs, from, bare),
                            Comparer.unplanned(Figure.RSRP_DBM, here).pair(against.name(), setup.name()));
                })
                .toList();
    }

    /** RSRP of both; a trial is told apart by its campsite too, since names of trials are not unique. */
    private List<Sample> samples(String one, String other) {
        List<LoggedMeasurement> made = measurements.list(new Selection(
                Optional.empty(), Optional.empty(), Optional.empty(), List.of(one, other), MOST_MEASUREMENTS));
        return made.stream()
                .flatMap(m -> Measurements.samples(List.of(m), Figure.RSRP_DBM).stream()
                        .map(s -> s.trial().isEmpty() ? s : s.ofTrial(m.campsite() + "/" + s.trial())))
                .toList();
    }

    private static OptionalDouble predictedDifference(Optional<Staircase> own, Optional<Staircase> base) {
        OptionalDouble a = own.map(Staircase::deltaDb).orElse(OptionalDouble.empty());
        OptionalDouble b = base.map(Staircase::deltaDb).orElse(OptionalDouble.empty());
        return a.isPresent() && b.isPresent()
                ? OptionalDouble.of(a.getAsDouble() - b.getAsDouble())
                : OptionalDouble.empty();
    }

    /** Against the own antenna that of the staircase; between two chains what each of them may be off by. */
    private static double halfWidth(Optional<Staircase> own, Optional<Staircase> base, boolean bare) {
        return own.isEmpty() || base.isEmpty()
                ? 0
                : bare
                        ? own.get().halfWidthDb()
                        : Math.hypot(own.get().chainHalfWidthDb(), base.get().chainHalfWidthDb());
    }

    static BandGainView view(MeasuredGain gain) {
        return new BandGainView(
                gain.band(),
                boxed(gain.predictedDb()),
                gain.halfWidthDb(),
                boxed(gain.comparison().estimate()),
                boxed(gain.comparison().low()),
                boxed(gain.comparison().high()),
                gain.comparison().rounds().size(),
                gain.fallsShort(),
                gain.sentence());
    }
}

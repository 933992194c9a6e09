package syntoma.app.diagnosis;

import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.PhoneLevels;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.campsite.Visit;
import syntoma.app.campsite.Visits;
import syntoma.app.gear.Cards;
import syntoma.app.instrument.LoggedRuns;
import syntoma.app.instrument.PlanUse;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.need.Carriers;
import syntoma.app.need.Vehicles;
import syntoma.app.platform.Optionals;
import syntoma.app.setup.ChainPlan;
import syntoma.app.setup.FitService;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.app.trial.Gains;
import syntoma.app.trial.KnownFaults;
import syntoma.core.advice.PastMeasurement;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Use;
import syntoma.core.diagnosis.CellDay;
import syntoma.core.diagnosis.Claim;
import syntoma.core.diagnosis.Diagnosis;
import syntoma.core.diagnosis.ObservedRun;
import syntoma.core.diagnosis.Situation;
import syntoma.core.fit.FitCase;
import syntoma.core.reading.Figure;
import syntoma.core.run.Direction;
import syntoma.core.run.Leg;
import syntoma.core.trial.Outcome;

/** Puts together what is known where it is slow, and lets the core look for causes. */
@Service
@Transactional(readOnly = true)
class DiagnosisService {
    /** The latest tell; older ones would make one wait. */
    private static final int MOST = 20_000;

    private final StandingService standing;
    private final Campsites campsites;
    private final Measurements measurements;
    private final PhoneLevels phones;
    private final Carriers carriers;
    private final LoggedRuns loggedRuns;
    private final PlanUse plans;
    private final SetupService chains;
    private final FitService fits;
    private final Gains gains;
    private final Cards cards;
    private final Vehicles vehicles;
    private final Visits visits;
    private final Setups setups;
    private final KnownFaults faults;

    DiagnosisService(
            StandingService standing,
            Campsites campsites,
            Measurements measurements,
            PhoneLevels phones,
            Carriers carriers,
            LoggedRuns loggedRuns,
            PlanUse plans,
            SetupService chains,
            FitService fits,
            Gains gains,
            Cards cards,
            Vehicles vehicles,
            Visits visits,
            Setups setups,
            KnownFaults faults) {
        this.standing = standing;
        this.campsites = campsites;
        this.measurements = measurements;
        this.phones = phones;
        this.carriers = carriers;
        this.loggedRuns = loggedRuns;
        this.plans = plans;
        this.chains = chains;
        this.fits = fits;
        this.gains = gains;
        this.cards = cards;
        this.vehicles = vehicles;
        this.visits = visits;
        this.setups = setups;
        this.faults = faults;
    }

    /** What is asked about, and the moment as of which. */
    private record DiagnosisQuery(
            SetupName setup, String carrier, long campsite, String place, long stay, OffsetDateTime at) {}

    /**
     * Of the setup and carrier in use where the vehicle stands; or of others, at another stay.
     *
     * @throws syntoma.app.platform.NotFoundException when there is no such stay or setup
     */
    DiagnosisView view(@Nullable Long stay, @Nullable String setup, @Nullable String carrier) {
        StandingLine line = standing.line();
        Long of = stay == null ? line.stay() : stay;
        SetupName used = setup == null ? line.setup() : setups.of(setup);
        String network = carrier == null ? line.carrier() : carrier;
        if (of == null || used == null || network == null) {
            return new DiagnosisView(
                    "Say in the line above where you stand, with which setup and on which carrier.",
                    "",
                    List.of(),
                    null,
                    null,
                    null);
        }
        Visit visit = visits.of(of);
        List<ObservedRun> seen = observedRuns();
        OffsetDateTime at = stay == null || stay.equals(line.stay())
                ? line.now()
                : seen.stream()
                        .filter(s -> s.stay() == of
                                && s.setup().equals(used.name())
                                && s.carrier().equals(network))
                        .map(ObservedRun::at)
                        .reduce((earlier, later) -> later)
                        .orElse(visit.leftAt() == null ? line.now() : visit.leftAt());
        return view(new DiagnosisQuery(used, network, visit.campsiteId(), visit.campsite(), of, at), seen);
    }

    private DiagnosisView view(DiagnosisQuery asked, List<ObservedRun> seen) {
        Long carrier = carriers.numbers().get(asked.carrier);
        Situation situation = new Situation(
                asked.setup.name(),
                asked.carrier,
                asked.campsite,
                asked.stay,
                asked.at,
                seen.stream().filter(s -> !s.at().isAfter(asked.at)).toList(),
                phone(asked.stay, carrier, false),
                phone(asked.stay, carrier, true),
                chain(asked.setup),
                plan(asked.carrier),
                faults.of(List.of(asked.setup.name()), asked.at).stream()
                        .findFirst()
                        .map(f -> new Situation.HeardLess(f.since(), f.lostDb())));
        Diagnosis found = Diagnosis.of(situation);
        return new DiagnosisView(
                found.claims().isEmpty()
                        ? Diagnosis.nothing(situation)
                        : found.claims().get(0).says(),
                asked.setup.name() + " on " + asked.carrier + " at " + asked.place,
                found.claims().stream().map(DiagnosisService::view).toList(),
                found.claims().isEmpty() ? Diagnosis.lookedFor() : null,
                found.telling()
                        .map(t -> new DiagnosisView.TellingView(t.how().label(), t.says()))
                        .orElse(null),
                day(seen, asked));
    }

    /** The latest of the log, in the order of time. */
    private List<ObservedRun> observedRuns() {
        Set<Long> flatDown = loggedRuns.flat(Direction.DOWN);
        Set<Long> flatUp = loggedRuns.flat(Direction.UP);
        Map<Long, Leg> legs = loggedRuns.legs();
        Map<String, Long> places = campsites.numbers();
        return measurements
                .list(new Selection(Optional.empty(), Optional.empty(), Optional.empty(), List.of(), MOST))
                .stream()
                .filter(m -> m.carrier() != null)
                .sorted(Comparator.comparing(m -> m.takenAt().toInstant()))
                .map(m -> observedRuns(
                        m,
                        places.get(m.campsite()),
                        flatDown.contains(m.id()),
                        flatUp.contains(m.id()),
                        Optional.ofNullable(legs.get(m.id()))))
                .toList();
    }

    private static DiagnosisView.ClaimView view(Claim claim) {
        return new DiagnosisView.ClaimView(
                claim.cause().label(), claim.sure().word(), claim.says(), claim.evidence(), claim.next());
    }

    private static ObservedRun observedRuns(
            LoggedMeasurement m, long campsite, boolean flatDown, boolean flatUp, Optional<Leg> leg) {
        return new ObservedRun(
                m.setup(),
                Objects.requireNonNull(m.carrier()),
                campsite,
                m.stay() == null ? -campsite : m.stay(),
                m.takenAt(),
                Outcome.fromLabel(m.outcome()),
                Objects.requireNonNullElse(m.band(), ""),
                Objects.requireNonNullElse(m.cellId(), ""),
                m.number(Figure.RSRP_DBM),
                m.number(Figure.SINR_DB),
                m.number(Figure.DOWN_MBPS),
                m.number(Figure.UP_MBPS),
                m.number(Figure.IDLE_MS),
                m.loadedMs(),
                flatDown,
                flatUp,
                leg);
    }

    private OptionalDouble phone(long stay, @Nullable Long carrier, boolean inside) {
        return phones.all().stream()
                .filter(p -> p.stayId() == stay && carrier != null && p.carrierId() == carrier && p.inside() == inside)
                .mapToDouble(p -> p.levelDbm() == null ? PastMeasurement.NO_SERVICE_DBM : p.levelDbm())
                .findFirst();
    }

    private Situation.OfChain chain(SetupName setup) {
        SetupService.PlannedSetup planned = chains.plans().get(setup.id());
        ChainPlan plan = planned == null ? ChainPlan.EMPTY : planned.plan();
        if (plan.device() == null) {
            return Situation.OfChain.UNKNOWN;
        }
        FitCase fit = FitService.fit(plan, fits.ground());
        boolean outside = fit.chain().antennas().stream().anyMatch(run -> run.placement() != Placement.INSIDE);
        return new Situation.OfChain(
                Optional.of(!outside),
                fit.wiring().of(Use.CELLULAR).size(),
                fit.streams().mostStreams(),
                fit.chain().booster().isPresent(),
                "",
                fit.chain().settings().source(),
                gains.shortDb(setup.name()));
    }

    private Situation.OfPlan plan(String carrier) {
        PlanUse.PlanUseView use = plans.of(carrier);
        return new Situation.OfPlan(
                Optional.ofNullable(cards.byCarrier().get(carrier))
                        .map(Cards.Card::capMbps)
                        .orElse(OptionalDouble.empty()),
                Optionals.optional(use.allowanceGb()),
                use.usedGb());
    }

    /** The day of the cell that was used last here, from all stays; where no cell is known, of the carrier at the campsite. */
    @Nullable
    private DiagnosisView.DayView day(List<ObservedRun> seen, DiagnosisQuery asked) {
        Optional<String> cell = seen.stream()
                .filter(s -> s.campsite() == asked.campsite && s.carrier().equals(asked.carrier))
                .map(ObservedRun::cell)
                .filter(id -> !id.isEmpty())
                .reduce((earlier, later) -> later);
        List<ObservedRun> runs = seen.stream()
                .filter(s -> s.carrier().equals(asked.carrier)
                        && cell.map(s.cell()::equals).orElse(s.campsite() == asked.campsite))
                .toList();
        CellDay day = CellDay.of(runs);
        int count = day.hours().stream().mapToInt(CellDay.Hour::runs).sum();
        if (count == 0) {
            return null;
        }
        return new DiagnosisView.DayView(
                cell.map(id -> "cell " + id + " of " + asked.carrier).orElse(asked.carrier + " at " + asked.place),
                count,
                day.hours().stream()
                        .map(h -> new DiagnosisView.HourView(
                                h.hour(),
                                h.runs(),
                                DiagnosisView.SpreadView.of(h.down()),
                                DiagnosisView.SpreadView.of(h.up()),
                                DiagnosisView.SpreadView.of(h.loadedLatency())))
                        .toList(),
                vehicles.uploadGb()
                        .flatMap(day::upload)
                        .map(CellDay.Upload::says)
                        .orElse(null));
    }
}

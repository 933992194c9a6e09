package syntoma.app.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.logbook.Logbook;
import syntoma.app.platform.InvalidInput;
import syntoma.app.rig.Chains.WhatIfRequest;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableChoice;
import syntoma.core.chain.Chain;
import syntoma.core.chain.PowerInput;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Vehicle;
import syntoma.core.chain.Wiring;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.fit.FitFinding;
import syntoma.core.power.Supply;
import syntoma.core.power.Wire;
import syntoma.core.unit.Text;

/** What the core says of a chain. */
@Service
@Transactional(readOnly = true)
class FitService {
    private static final double WIRE_M = 5;
    private static final double WIRE_CELSIUS = 60;
    private static final double MOST_DROP = 0.03;

    private final GearService gear;
    private final WishService wishes;

    FitService(GearService gear, WishService wishes) {
        this.gear = gear;
        this.wishes = wishes;
    }

    /** Which setup a chain is of, where it is of one. */
    record Of(@Nullable Logbook.SetupName setup, int revision, long measured, int version) {
        static final Of DRAFT = new Of(null, 0, 0, 0);
    }

    /** What chains are judged by, read once for all of them. */
    record Ground(
            Map<Long, GearItem> shelf, Vehicle vehicle, String carrier, @Nullable String region, List<Band> bands) {}

    /** The ground for the carrier and the region that are wished for, or for others. */
    Ground ground(Optional<String> wantedCarrier, Optional<String> wantedRegion) {
        String carrier = wantedCarrier.or(wishes::carrier).orElse("");
        String region = wantedRegion.orElseGet(() -> wishes.region(carrier));
        return new Ground(gear.byNumber(), wishes.vehicle(), carrier, region, wishes.bands(carrier, region));
    }

    /** A chain as the core sees it. */
    static FitCase fit(ChainPlan plan, Optional<WhatIfRequest> whatIf, Ground ground) {
        Chain chain = new Chains(ground.shelf(), ground.vehicle()).of(plan, whatIf);
        Set<Long> used = Set.copyOf(plan.adapters());
        List<Adapter> spares = ground.shelf().values().stream()
                .filter(g -> g.is() == GearKind.ADAPTER
                        && !used.contains(g.id())
                        && !g.state().equals("retired"))
                .map(Parts::adapter)
                .toList();
        return FitCase.of(chain, ground.carrier(), ground.bands(), spares);
    }

    /** Everything that is computed of a chain. */
    SetupView view(
            Of of,
            ChainPlan plan,
            Optional<WhatIfRequest> whatIf,
            Optional<String> wantedCarrier,
            Optional<String> wantedRegion) {
        Ground ground = ground(wantedCarrier, wantedRegion);
        FitCase fit = fit(plan, whatIf, ground);
        List<FitFinding> findings = FitCheck.of(fit);
        List<Coverage> coverage = fit.coverage();
        double cableM = fit.chain().antennas().stream()
                .findFirst()
                .map(run -> run.extension().stream().mapToDouble(Cable::lengthM).sum())
                .orElse(0.0);
        return new SetupView(
                of.setup(),
                of.revision(),
                of.measured(),
                of.version(),
                summary(fit.chain()),
                FitCheck.headline(fit, findings),
                plan,
                ground.carrier(),
                ground.region(),
                fit.streams(),
                findings.stream().map(FitService::view).toList(),
                fit.wiring().connections().stream().map(FitService::view).toList(),
                fit.wiring().leadsOver().stream().map(l -> l.label()).toList(),
                fit.wiring().portsOver().stream().map(p -> p.label()).toList(),
                fit.chain().ports().stream()
                        .map(p -> new SetupView.PortView(
                                p.label(), p.use().label(), p.connector().toString(), p.main()))
                        .toList(),
                coverage(fit, coverage),
                fit.bands().stream().map(b -> staircase(fit, b)).toList(),
                cables(fit, cableM),
                cableM,
                power(fit.chain()));
    }

    /** The parts in the order of the signal, as one line. */
    static String summary(Chain chain) {
        List<String> parts = new ArrayList<>();
        chain.device().ifPresent(d -> parts.add(d.name()));
        chain.booster().ifPresent(b -> parts.add(b.name()));
        for (AntennaRun run : chain.antennas()) {
            parts.add(run.antenna().name());
            run.extension().forEach(c -> parts.add(c.name()));
        }
        return String.join(" + ", parts);
    }

    private static SetupView.FindingView view(FitFinding f) {
        return new SetupView.FindingView(
                f.code(), f.severity().label(), f.where(), f.says(), f.fix(), boxed(f.price()));
    }

    private static SetupView.WireView view(Wiring.Connection c) {
        String adapter = c.mates()
                ? null
                : c.adapter()
                        .map(Adapter::name)
                        .orElse(c.lead().end().counterpart() + " to "
                                + c.port().connector().counterpart() + ", to buy");
        return new SetupView.WireView(
                c.lead().label(),
                c.lead().lead().use().label(),
                c.lead().end().toString(),
                c.port().label(),
                c.port().connector().toString(),
                adapter,
                c.lead().lead().label() + " → " + c.port().label());
    }

    private static SetupView.CoverageView coverage(FitCase fit, List<Coverage> bands) {
        String chain = fit.chain()
                .booster()
                .map(b -> b.name())
                .or(() -> fit.chain().antennas().stream().findFirst().map(run -> run.antenna()
                        .name()))
                .or(() -> fit.chain().device().map(d -> d.name()))
                .orElse("nothing");
        return new SetupView.CoverageView(
                fit.carrier().isEmpty()
                        ? "Choose a carrier under Need, and its bands are looked at here."
                        : Coverage.summary(chain, fit.carrier(), bands),
                bands.stream()
                        .findFirst()
                        .map(c -> c.links().stream().map(l -> l.link()).toList())
                        .orElse(List.of()),
                bands.stream()
                        .map(c -> new SetupView.BandView(
                                c.band().name(),
                                mhz(c.band()),
                                c.result().label(),
                                c.links().stream()
                                        .map(l -> new SetupView.LinkView(
                                                l.link(), boxed(l.downlink()), boxed(l.uplink())))
                                        .toList(),
                                c.limitedBy().orElse(null),
                                c.sentence()))
                        .toList());
    }

    /** The middle of a band's downlink in MHz. */
    static double mhz(Band band) {
        return band.downlink().middleMhz();
    }

    private static SetupView.StaircaseView staircase(FitCase fit, Band band) {
        Staircase s = Staircase.of(fit.chain(), fit.wiring(), mhz(band));
        return new SetupView.StaircaseView(
                band.name(),
                s.mhz(),
                s.steps().stream()
                        .map(step ->
                                new SetupView.StepView(step.part(), step.says(), boxed(step.db()), step.estimated()))
                        .toList(),
                boxed(s.netDb()),
                s.baselineDb(),
                boxed(s.deltaDb()),
                s.halfWidthDb());
    }

    private static List<SetupView.CableView> cables(FitCase fit, double cableM) {
        Optional<Double> highest = fit.bands().stream().map(FitService::mhz).max(Double::compare);
        if (cableM == 0 || highest.isEmpty()) {
            return List.of();
        }
        return CableChoice.over(cableM, highest.get()).stream()
                .map(c -> new SetupView.CableView(
                        c.cableClass().name(),
                        c.lossDb(),
                        c.price(),
                        boxed(c.perDbSaved()),
                        c.cableClass().diameterMm(),
                        c.best()))
                .toList();
    }

    private List<SetupView.PowerView> power(Chain chain) {
        return Stream.concat(
                        chain.device().stream().map(d -> power(d.name(), d.power())),
                        chain.booster().stream().map(b -> power(b.name(), b.power())))
                .toList();
    }

    private SetupView.PowerView power(String part, PowerInput input) {
        double hours = wishes.hoursADay();
        OptionalDouble draw = input.drawW();
        Double wh = null;
        Double inverter = null;
        Double share = null;
        Double amps = null;
        Optional<Wire> wire = Optional.empty();
        if (draw.isPresent()) {
            double volts = wishes.vehicle().batteryV();
            wh = Supply.whPerDay(draw.getAsDouble(), hours);
            inverter = Supply.whPerDayThroughInverter(draw.getAsDouble(), hours);
            share = (input.mainsOnly() ? inverter : wh) / (wishes.vehicle().batteryAh() * volts);
            amps = (input.mainsOnly() ? draw.getAsDouble() / (Supply.INVERTER * Supply.ADAPTER) : draw.getAsDouble())
                    / volts;
            wire = Wire.thinnest(WIRE_M, amps, WIRE_CELSIUS, MOST_DROP * volts);
        }
        Double current = amps;
        return new SetupView.PowerView(
                part,
                boxed(draw),
                input.mainsOnly() ? null : wh,
                inverter,
                input.mainsOnly(),
                boxed(input.lowV()),
                boxed(input.highV()),
                Supply.covers(input.lowV(), input.highV()),
                share,
                amps,
                wire.map(w -> boxed(w.fuseA(current))).orElse(null),
                wire.map(Wire::mm2).orElse(null),
                wire.map(Wire::awg).orElse(null),
                wire.map(w -> w.dropV(WIRE_M, current, WIRE_CELSIUS)).orElse(null),
                WIRE_M);
    }

    /** Checks that a plan can be built. */
    void check(ChainPlan plan) {
        Chain chain = new Chains(gear.byNumber(), wishes.vehicle()).of(plan, Optional.empty());
        Set<String> ports =
                Set.copyOf(chain.ports().stream().map(p -> p.label()).toList());
        plan.wiring().values().stream()
                .filter(p -> !ports.contains(p))
                .findFirst()
                .ifPresent(p -> {
                    throw new InvalidInput(
                            "wiring", "port is " + Text.quoted(p) + "; allowed is " + String.join(", ", ports));
                });
        plan.lockedBands().forEach(b -> InvalidInput.naming("lockedBands", () -> syntoma.core.band.Bands.named(b)));
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}

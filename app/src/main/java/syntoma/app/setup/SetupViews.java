package syntoma.app.setup;

import static syntoma.app.platform.Optionals.boxed;

import java.util.List;
import java.util.Optional;
import syntoma.app.setup.FitService.Ground;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.band.Reach;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableChoice;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.Wiring;
import syntoma.core.fit.Findings;
import syntoma.core.fit.FitCase;
import syntoma.core.fit.FitCheck;
import syntoma.core.fit.FitFinding;
import syntoma.core.power.PowerBudget;
import syntoma.core.power.Supply;
import syntoma.core.power.Wire;

/** Shows what the core says of a chain. */
final class SetupViews {
    private SetupViews() {}

    static SetupView of(SetupView.Of of, ChainPlan plan, FitCase fit, Ground ground) {
        Findings findings = FitCheck.of(fit);
        double cableM = fit.chain().antennas().stream()
                .findFirst()
                .map(run -> run.extension().stream().mapToDouble(Cable::lengthM).sum())
                .orElse(0.0);
        return new SetupView(
                of.setup(),
                of.revision(),
                of.measured(),
                of.version(),
                of.revisions(),
                fit.chain().summary(),
                findings.headline(),
                plan,
                ground.carrier(),
                ground.region(),
                fit.streams(),
                findings.all().stream().map(SetupViews::finding).toList(),
                fit.wiring().connections().stream().map(SetupViews::wire).toList(),
                fit.wiring().leadsOver().stream()
                        .map(l -> new SetupView.LeadView(l.key(), l.label()))
                        .toList(),
                fit.wiring().portsOver().stream().map(p -> p.label()).toList(),
                fit.chain().ports().stream()
                        .map(p -> new SetupView.PortView(
                                p.label(), p.use().label(), p.connector().toString(), p.main()))
                        .toList(),
                coverage(fit),
                fit.bands().stream().map(b -> staircase(fit, b)).toList(),
                cables(fit, cableM),
                cableM,
                PowerBudget.of(fit.chain(), ground.hoursADay()).stream()
                        .map(SetupViews::power)
                        .toList());
    }

    private static SetupView.FindingView finding(FitFinding f) {
        return new SetupView.FindingView(
                f.code(), f.severity().label(), f.where(), f.says(), f.fix(), boxed(f.price()));
    }

    private static SetupView.WireView wire(Wiring.Connection c) {
        String adapter = c.mates()
                ? null
                : c.adapter()
                        .map(Adapter::name)
                        .orElse(c.lead().end().counterpart() + " to "
                                + c.port().connector().counterpart() + ", to buy");
        return new SetupView.WireView(
                c.lead().key(),
                c.lead().label(),
                c.lead().lead().use().label(),
                c.lead().end().toString(),
                c.port().label(),
                c.port().connector().toString(),
                adapter,
                c.lead().lead().label() + " → " + c.port().label());
    }

    private static SetupView.CoverageView coverage(FitCase fit) {
        Reach reach = fit.reach();
        Chain chain = fit.chain();
        String through = chain.booster()
                .map(b -> b.name())
                .or(() -> chain.antennas().stream().findFirst().map(run -> run.antenna()
                        .name()))
                .or(() -> chain.device().map(d -> d.name()))
                .orElse("nothing");
        return new SetupView.CoverageView(
                fit.carrier().isEmpty()
                        ? "Choose a carrier under Need, and its bands are looked at here."
                        : reach.sentence(through),
                reach.links(),
                reach.bands().stream().map(SetupViews::band).toList());
    }

    private static SetupView.BandView band(Coverage c) {
        return new SetupView.BandView(
                c.band().name(),
                c.band().downlink().middleMhz(),
                c.result().label(),
                c.links().stream()
                        .map(l -> new SetupView.LinkView(l.link(), boxed(l.downlink()), boxed(l.uplink())))
                        .toList(),
                c.limitedBy().orElse(null),
                c.sentence());
    }

    private static SetupView.StaircaseView staircase(FitCase fit, Band band) {
        Staircase s = Staircase.of(fit.chain(), fit.wiring(), band.downlink().middleMhz());
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
        Optional<Double> highest =
                fit.bands().stream().map(b -> b.downlink().middleMhz()).max(Double::compare);
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

    private static SetupView.PowerView power(PowerBudget p) {
        return new SetupView.PowerView(
                p.part(),
                boxed(p.input().drawW()),
                boxed(p.whPerDay()),
                boxed(p.whPerDayThroughInverter()),
                p.input().mainsOnly(),
                boxed(p.input().lowV()),
                boxed(p.input().highV()),
                Supply.covers(p.input().lowV(), p.input().highV()),
                boxed(p.batteryShare()),
                boxed(p.amps()),
                boxed(p.fuseA()),
                p.wire().map(Wire::mm2).orElse(null),
                p.wire().map(Wire::awg).orElse(null),
                boxed(p.dropV()),
                PowerBudget.WIRE_M);
    }
}

package syntoma.app.setup;

import static syntoma.app.platform.Optionals.boxed;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.app.setup.FitService.Ground;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.band.Reach;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Cable;
import syntoma.core.chain.CableChoice;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Joint;
import syntoma.core.chain.Staircase;
import syntoma.core.chain.VoltageSystem;
import syntoma.core.chain.Wiring;
import syntoma.core.choice.Price;
import syntoma.core.choice.Purchase;
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

    static SetupView of(SetupView.SetupReference of, ChainPlan plan, FitCase fit, Ground ground) {
        Findings findings = FitCheck.of(fit);
        List<Purchase> toBuy = Purchase.of(FitService.toBuy(plan, ground.shelf()), findings);
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
                orNull(fit.streams().mostStreams()),
                findings.all().stream().map(SetupViews::finding).toList(),
                toBuy.stream()
                        .map(b -> new SetupView.BuyView(b.item(), b.pieces(), boxed(b.price()), b.isEstimated()))
                        .toList(),
                toBuy.isEmpty() ? null : Price.of(toBuy).words(),
                fit.wiring().connections().stream().map(SetupViews::wire).toList(),
                fit.wiring().leadsOver().stream()
                        .map(l -> new SetupView.LeadView(l.key(), l.label()))
                        .toList(),
                fit.wiring().portsOver().stream().map(p -> p.label()).toList(),
                fit.chain().ports().stream()
                        .map(p -> new SetupView.PortView(
                                p.label(), p.use().label(), p.connector().toString(), p.isMain()))
                        .toList(),
                coverage(fit),
                fit.bands().stream()
                        .flatMap(b -> fit.staircase(b).map(s -> staircase(fit, b, s)).stream())
                        .toList(),
                findings.besideGain(),
                cables(fit, cableM),
                cableM,
                ground.vehicle().system().label(),
                PowerBudget.of(fit.chain(), ground.hoursADay()).stream()
                        .map(p -> power(p, ground.vehicle().system()))
                        .toList());
    }

    @Nullable
    private static Integer orNull(OptionalInt number) {
        return number.isPresent() ? number.getAsInt() : null;
    }

    private static SetupView.FindingView finding(FitFinding f) {
        return new SetupView.FindingView(
                f.code(),
                f.severity().label(),
                f.part(),
                f.says(),
                f.fix(),
                f.toBuy()
                        .map(b -> new SetupView.BuyView(b.item(), b.pieces(), boxed(b.price()), b.isEstimated()))
                        .orElse(null));
    }

    private static SetupView.WireView wire(Wiring.Connection c) {
        Joint at = c.atPort();
        String adapter = at.mates()
                ? null
                : at.lacksAdapter()
                        ? at.neededAdapter() + ", to buy"
                        : at.adapters().stream().map(Adapter::name).collect(Collectors.joining(" + "));
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
                .or(() -> chain.antennas().stream()
                        .map(run -> run.antenna().name())
                        .reduce((one, other) -> one + " and " + other))
                .or(() -> chain.device().map(d -> d.name()))
                .orElse("nothing");
        return new SetupView.CoverageView(
                fit.carrier().isEmpty()
                        ? "Choose a carrier under Need, and its bands are looked at here."
                        : reach.sentence(through),
                reach.links(),
                reach.bands().stream().map(c -> band(fit, c)).toList());
    }

    private static SetupView.BandView band(FitCase fit, Coverage c) {
        return new SetupView.BandView(
                c.band().name(),
                c.band().downlink().middleMhz(),
                c.result().label(),
                c.links().stream()
                        .map(l -> new SetupView.LinkView(l.link(), boxed(l.downlink()), boxed(l.uplink())))
                        .toList(),
                c.limitedBy().orElse(null),
                c.sentence(),
                orNull(fit.streams(c.band())));
    }

    private static SetupView.StaircaseView staircase(FitCase fit, Band band, Staircase s) {
        return new SetupView.StaircaseView(
                band.name(),
                s.mhz(),
                fit.best(band).map(c -> c.lead().label()).orElse(null),
                s.fromInside().stream()
                        .map(step -> new SetupView.StepView(
                                step.part(), step.says(), boxed(step.db()), step.halfWidthDb(), step.isEstimated()))
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
                        c.isBest()))
                .toList();
    }

    private static SetupView.PowerView power(PowerBudget p, VoltageSystem system) {
        return new SetupView.PowerView(
                p.part(),
                p.supply().words(system),
                boxed(p.input().drawW()),
                boxed(p.input().peakW()),
                boxed(p.whPerDay()),
                boxed(p.whPerDayThroughInverter()),
                p.supply().way() == Supply.Way.INVERTER,
                boxed(p.input().lowV()),
                boxed(p.input().highV()),
                boxed(p.batteryShare()),
                boxed(p.run().amps()),
                boxed(p.run().fuseA()),
                p.input().peakW().isPresent(),
                p.run().wire().map(Wire::mm2).orElse(null),
                p.run().wire().map(Wire::awg).orElse(null),
                boxed(p.run().dropV()),
                PowerBudget.WIRE_M);
    }
}

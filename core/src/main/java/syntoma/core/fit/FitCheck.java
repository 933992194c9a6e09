package syntoma.core.fit;

import java.util.Comparator;
import java.util.List;

/** All rules over one chain. */
public final class FitCheck {
    private static final List<FitRule> RULES = List.of(
            new DeviceMissing(),
            new NoAntennaPort(),
            new WrongUse(),
            new NoPin(),
            new CableEnds(),
            new NoBandWorks(),
            new CardCount(),
            new CardSize(),
            new MagnetHold(),
            new AdapterNeeded(),
            new StreamsLost(),
            new PortsLeftEmpty(),
            new MainPort(),
            new RigidAdapters(),
            new BoosterUplink(),
            new BandsMissing(),
            new CableTakesGain(),
            new NoGain(),
            new GroundPlane(),
            new SlowEthernet(),
            new MainsOnly(),
            new SupplyRange(),
            new SpareLead(),
            new OwnAntennas(),
            new BoosterStreams(),
            new ParkedOnly(),
            new AimingNeeded(),
            new CarrierOfCard(),
            new NotStated());

    private FitCheck() {}

    /** What is to be said of a chain, the heaviest first. */
    public static Findings of(FitCase fit) {
        return new Findings(
                fit,
                RULES.stream()
                        .flatMap(rule -> rule.check(fit).stream())
                        .sorted(Comparator.comparing(FitFinding::severity))
                        .toList());
    }
}

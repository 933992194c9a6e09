package syntoma.core.fit;

import java.util.Comparator;
import java.util.List;

/** All rules over one chain. */
public final class FitCheck {
    private static final List<FitRule> RULES = List.of(
            new DeviceMissing(),
            new NothingConnected(),
            new NoAntennaPort(),
            new WrongUse(),
            new NoPin(),
            new CableEnds(),
            new NoBandWorks(),
            new SettingsHold(),
            new SourceOfDevice(),
            new CarrierLock(),
            new CardCount(),
            new CardSize(),
            new MagnetHold(),
            new LeadReach(),
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
            new WeatherRating(),
            new SupplyRange(),
            new MainsOnly(),
            new PlanOfCard(),
            new WantedFeatures(),
            new SlowEthernet(),
            new BoosterCare(),
            new BoosterStreams(),
            new SeveralAntennas(),
            new SpareLead(),
            new OwnAntennas(),
            new ParkedOnly(),
            new AimingNeeded(),
            new Impedance(),
            new FakraCoding(),
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

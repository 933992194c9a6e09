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
    public static List<FitFinding> of(FitCase fit) {
        return RULES.stream()
                .flatMap(rule -> rule.check(fit).stream())
                .sorted(Comparator.comparing(FitFinding::severity))
                .toList();
    }

    /** What is found, as one sentence. */
    public static String headline(FitCase fit, List<FitFinding> findings) {
        long blockers = findings.stream().filter(FitFinding::blocks).count();
        long toBuy = findings.stream().filter(FitFinding::wantsAdapter).count();
        if (fit.chain().device().isEmpty()) {
            return "This setup is known by its name alone. Choose its parts, and its fit can be checked.";
        }
        if (blockers > 0) {
            FitFinding first = findings.get(0);
            return "It does not fit yet. " + first.says();
        }
        String streams = " " + Words.capital(Words.count(fit.streams()))
                + (fit.streams() == 1 ? " stream reaches " : " streams reach ") + fit.device() + ".";
        return (toBuy == 0
                        ? "It fits."
                        : "It fits, with " + Words.count((int) toBuy)
                                + (toBuy == 1 ? " kind of part" : " kinds of part") + " to buy.")
                + streams;
    }
}

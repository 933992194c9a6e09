package syntoma.core.fit;

import java.util.List;
import java.util.Optional;
import syntoma.core.aim.Sweep;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.AntennaRun;
import syntoma.core.chain.Chain;
import syntoma.core.unit.Values;

/** A narrow beam has to be aimed at every camp. */
public final class AimingNeeded implements FitRule {
    /** A sweep of twelve headings and a second look; chosen. */
    private static final int MINUTES = 10;

    /** By eye and compass one is off by so much, and after a gust by twice that. */
    private static final int OFF_DEG = 20;

    @Override
    public List<FitFinding> check(FitCase fit) {
        return fit.chain().antennas().stream()
                .map(AntennaRun::antenna)
                .filter(Antenna::isDirectional)
                .map(antenna -> FitFinding.note("aiming", antenna.name(), says(antenna), ""))
                .toList();
    }

    /** The work of aiming what a chain has, and what is lost off target; empty where all of it hears all round. */
    public static Optional<String> of(Chain chain) {
        return chain.antennas().stream()
                .map(AntennaRun::antenna)
                .filter(Antenna::isDirectional)
                .findFirst()
                .map(AimingNeeded::says);
    }

    private static String says(Antenna antenna) {
        String work = " Aim it at each camp, about " + MINUTES + " min.";
        if (antenna.beamDeg().isEmpty()) {
            return "It is directional; its data sheet does not state the beam width." + work;
        }
        double beam = antenna.beamDeg().getAsDouble();
        return "Its beam is " + Values.format(beam) + "° wide: " + OFF_DEG + "° off target it loses about "
                + lossText(OFF_DEG, beam) + " dB, " + 2 * OFF_DEG + "° off about " + lossText(2 * OFF_DEG, beam)
                + " dB."
                + work;
    }

    private static String lossText(double offDeg, double beamDeg) {
        // at most what such antennas lose behind
        return Values.round(Sweep.offTargetLossDb(offDeg, beamDeg, BEHIND_DB), 1);
    }

    private static final double BEHIND_DB = 20;
}

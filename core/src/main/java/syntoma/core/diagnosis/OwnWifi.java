package syntoma.core.diagnosis;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** The vehicle's own Wi-Fi is slower than the router: a run over it ends where the Wi-Fi does (docs/methods.md#11-diagnosis). */
final class OwnWifi implements Rule {
    private static final int SURE = 2;

    /** How much faster the router must be without the Wi-Fi. Chosen: more than runs differ by chance. */
    private static final double FASTER = 1.5;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> overWifi =
                s.lately().stream().filter(l -> l.leg().isPresent()).toList();
        List<ObservedRun> held = overWifi.stream().filter(OwnWifi::isHeld).toList();
        // one run that met the Wi-Fi among several that did not is chance
        if (held.isEmpty() || 2 * held.size() <= overWifi.size()) {
            return Optional.empty();
        }
        List<ObservedRun> direct = s.lately().stream()
                .filter(l -> l.leg().isEmpty() && l.downMbps().isPresent())
                .toList();
        OptionalDouble wifi = Situation.median(
                held, h -> OptionalDouble.of(h.leg().orElseThrow().downMbps()));
        OptionalDouble router = Situation.median(direct, ObservedRun::downMbps);
        boolean routerIsFaster = router.isPresent() && router.getAsDouble() >= FASTER * wifi.orElseThrow();
        List<String> evidence = new ArrayList<>();
        evidence.add("the Wi-Fi itself carries about " + EvidenceText.mbps(wifi.orElseThrow()) + ", "
                + EvidenceText.over(held, "browser run"));
        if (routerIsFaster) {
            evidence.add("download " + EvidenceText.mbps(router.getAsDouble()) + " without it, "
                    + EvidenceText.over(direct, "run"));
        }
        return Optional.of(new Claim(
                Cause.OWN_WIFI,
                routerIsFaster || held.size() >= SURE ? Sure.LIKELY : Sure.PERHAPS,
                "Your own Wi-Fi is the limit: runs over it are as fast as it can carry.",
                evidence,
                "Move closer to the router, use its 5 GHz network or a cable, and run once more."));
    }

    private static boolean isHeld(ObservedRun run) {
        return run.leg()
                .filter(leg -> leg.limitsDown(run.downMbps().orElse(0))
                        || leg.limitsUp(run.upMbps().orElse(0)))
                .isPresent();
    }
}

package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.chain.Device;
import syntoma.core.chain.RadioMode;

/** What the device is held to, a mode or bands, must be something that it, the antenna and the carrier have. */
final class SettingsHold implements FitRule {
    private static final String BANDS = "locked-bands";
    private static final String MODE = "mode";

    @Override
    public List<FitFinding> check(FitCase fit) {
        if (!fit.chain().isCellular() || fit.chain().device().isEmpty()) {
            return List.of();
        }
        List<FitFinding> findings = new ArrayList<>();
        Device device = fit.chain().device().get();
        RadioMode mode = fit.chain().settings().mode();
        List<Band> locked = fit.chain().settings().locked();
        mode.onlyTechnology().flatMap(only -> mode(fit, device, only, locked)).ifPresent(findings::add);
        if (mode == RadioMode.LOCKED && locked.isEmpty()) {
            findings.add(FitFinding.caution(
                    BANDS,
                    device.name(),
                    "The mode is locked but no band is named, so it is unknown what the device is locked to.",
                    "Name the bands, or set the mode to automatic."));
        }
        if (!locked.isEmpty()) {
            bands(fit, device, locked).ifPresent(findings::add);
        }
        return findings;
    }

    private static Optional<FitFinding> mode(FitCase fit, Device device, Band.Technology only, List<Band> locked) {
        if (device.speaks(only).map(has -> !has).orElse(false)) {
            return Optional.of(FitFinding.blocker(
                    MODE,
                    device.name(),
                    device.name() + " is held to " + only + " and has no " + only + " band.",
                    "Set the mode to automatic."));
        }
        boolean carrierLacks = !fit.bands().isEmpty() && fit.bands().stream().noneMatch(b -> b.rat() == only);
        if (carrierLacks) {
            return Optional.of(FitFinding.blocker(
                    MODE,
                    device.name(),
                    device.name() + " is held to " + only + ", and " + fit.carrier() + " has no " + only
                            + " band entered here.",
                    "Set the mode to automatic."));
        }
        if (!locked.isEmpty() && locked.stream().noneMatch(b -> b.rat() == only)) {
            return Optional.of(FitFinding.blocker(
                    MODE,
                    device.name(),
                    device.name() + " is held to " + only + " and to " + names(locked) + ", of which none is " + only
                            + ".",
                    "Lock bands of that kind, or set the mode to automatic."));
        }
        return Optional.empty();
    }

    /** A lock with nothing left blocks; one with less than it says is a caution. */
    private static Optional<FitFinding> bands(FitCase fit, Device device, List<Band> locked) {
        List<Band> missing = device.bands().isEmpty()
                ? List.of()
                : locked.stream()
                        .filter(b -> device.share(b).downlink().orElse(1) == 0)
                        .toList();
        if (!missing.isEmpty()) {
            return Optional.of(lock(
                    device,
                    missing.size() == locked.size(),
                    "The lock names " + names(missing) + ", which " + device.name() + " does not have."));
        }
        if (fit.bands().isEmpty()) {
            return Optional.empty();
        }
        List<Band> foreign =
                locked.stream().filter(b -> fit.reach().of(b).isEmpty()).toList();
        if (!foreign.isEmpty()) {
            return Optional.of(lock(
                    device,
                    foreign.size() == locked.size(),
                    "The lock names " + names(foreign) + ", which " + fit.carrier() + " does not have here."));
        }
        List<Coverage> stopped = locked.stream()
                .flatMap(b -> fit.reach().of(b).stream())
                .filter(c -> !c.works() && !c.isUnknown())
                .toList();
        if (!stopped.isEmpty()) {
            return Optional.of(lock(
                    device,
                    stopped.size() == locked.size(),
                    "The lock names "
                            + names(stopped.stream().map(Coverage::band).toList()) + ", which does not get through: "
                            + stopped.get(0).sentence() + "."));
        }
        return Optional.empty();
    }

    private static FitFinding lock(Device device, boolean all, String says) {
        return all
                ? FitFinding.blocker(BANDS, device.name(), says, "Lock a band that works, or none.")
                : FitFinding.caution(BANDS, device.name(), says, "Remove it from the lock.");
    }

    private static String names(List<Band> bands) {
        return bands.stream().map(Band::name).collect(Collectors.joining(", "));
    }
}

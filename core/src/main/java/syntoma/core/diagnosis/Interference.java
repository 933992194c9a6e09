package syntoma.core.diagnosis;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Claim.Sure;

/** Loud and not clean: RSRP sound, SINR below 5 dB (docs/methods.md#11-diagnosis). */
final class Interference implements Rule {
    private static final double SOUND_DBM = -95;
    private static final double CLEAN_DB = 5;

    @Override
    public Optional<Claim> look(Situation s) {
        List<ObservedRun> read = s.lately().stream()
                .filter(l -> l.rsrpDbm().isPresent() && l.sinrDb().isPresent())
                .toList();
        OptionalDouble level = Situation.median(read, ObservedRun::rsrpDbm);
        OptionalDouble sinr = Situation.median(read, ObservedRun::sinrDb);
        if (level.isEmpty() || level.getAsDouble() < SOUND_DBM || sinr.getAsDouble() >= CLEAN_DB) {
            return Optional.empty();
        }
        return Optional.of(
                new Claim(
                        Cause.INTERFERENCE,
                        read.size() >= 3 ? Sure.SURELY : Sure.LIKELY,
                        "The signal is strong but not clean: other towers or something in the vehicle interfere.",
                        List.of("RSRP " + EvidenceText.dbm(level.getAsDouble()) + " with SINR "
                                + EvidenceText.db(sinr.getAsDouble()) + " " + EvidenceText.over(read, "reading")),
                        "Aim away from the other tower or lock another band; switch chargers and inverters off for one reading."));
    }
}

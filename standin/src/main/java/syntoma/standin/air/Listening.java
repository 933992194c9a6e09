package syntoma.standin.air;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** What a device hears at a moment, and which of it it uses: true levels, slow fading, fast noise, and each cell in the others' way. */
public final class Listening {
    private static final double NOISE_SD_DB = 1.5;

    /** Beneath these levels at its donor antenna a booster has nothing to boost (docs/methods.md#4-boosters). */
    private static final double DONOR_DBM = -125;

    private static final double DONOR_SINR_DB = -6;

    private final Random random;
    private final Fading fading;
    private final Modem modem = new Modem();

    public Listening(Random random) {
        this.random = random;
        fading = new Fading(random);
    }

    /** A cell with its true level at the device. */
    public record Level(Cell cell, double dbm) {}

    /** A level of this moment, and how much of the cell others take. */
    private record CellLevel(Cell cell, double dbm, double load, double outsideDbm) {}

    /** The cells in use, the primary one first; none where there is no service. */
    public List<HeardCell> hear(List<Level> levels, AsBuilt setup, Hands hands, OffsetDateTime at) {
        List<CellLevel> now = new ArrayList<>();
        for (Level level : levels) {
            double faded = fading.db(level.cell, at);
            double noise = NOISE_SD_DB * random.nextGaussian();
            double load = level.cell.site().load(at.getHour());
            now.add(new CellLevel(level.cell, level.dbm + faded + noise, load, level.cell.outsideDbm() + faded));
        }
        List<HeardCell> heard = now.stream()
                .filter(n -> !setup.hasBooster() || n.outsideDbm > DONOR_DBM)
                .map(n -> heard(n, now, setup))
                .filter(h -> !setup.hasBooster() || h.sinrDb() > DONOR_SINR_DB)
                .toList();
        return modem.pick(heard, setup, hands);
    }

    private static HeardCell heard(CellLevel own, List<CellLevel> all, AsBuilt setup) {
        double others = 0;
        for (CellLevel other : all) {
            if (other != own && other.cell.channel().equals(own.cell.channel())) {
                others += HeardCell.milliwatts(other.dbm) * other.load;
            }
        }
        // a booster lifts the noise that its donor antenna hears with the rest
        double lifted = setup.hasBooster() ? HeardCell.milliwatts(HeardCell.NOISE_DBM + own.dbm - own.outsideDbm) : 0;
        return HeardCell.of(own.cell, own.dbm, others + lifted, own.load);
    }
}

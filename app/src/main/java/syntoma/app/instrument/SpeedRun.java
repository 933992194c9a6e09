package syntoma.app.instrument;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.core.run.Leg;

/** A run with what it came to; what was not measured is null. */
@Entity
class SpeedRun {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String kind;
    String state = RunState.WAITING.label();
    String setup;
    String carrier;

    @Nullable
    String campsite;

    @Nullable
    String trial;

    @Nullable
    Integer round;

    boolean toLog;

    @Nullable
    Double budgetMb;

    String server;
    OffsetDateTime startedAt;

    @Nullable
    Double downMbps;

    @Nullable
    Double upMbps;

    @Nullable
    Double idleMs;

    @Nullable
    Double downLoadedMs;

    @Nullable
    Double upLoadedMs;

    @Nullable
    Double jitterMs;

    @Nullable
    Double lossPct;

    @Nullable
    Boolean flatDown;

    @Nullable
    Boolean flatUp;

    long bytesUsed;
    double seconds;

    @Nullable
    String endedBecause;

    /** The curve, as JSON. */
    @Nullable
    String series;

    @Nullable
    Long measurementId;

    /** Its name at the speed server, of a run that a browser makes. */
    @Nullable
    String browserName;

    boolean ownSim;

    @Nullable
    Double legDownMbps;

    @Nullable
    Double legUpMbps;

    /** Another carrier that the router named while it went on. */
    @Nullable
    String otherCarrier;

    protected SpeedRun() {}

    SpeedRun(RunRequest asked, String server, OffsetDateTime startedAt) {
        this.kind = asked.kind();
        this.setup = asked.setup();
        this.carrier = asked.carrier();
        this.campsite = asked.campsite();
        this.trial = asked.trial();
        this.round = asked.round();
        this.toLog = asked.isLogged();
        this.budgetMb = asked.budgetMb();
        this.server = server;
        this.startedAt = startedAt;
    }

    /** Has it wait for a browser. */
    void inBrowser(String name, boolean onOwnSim, Optional<Leg> leg) {
        browserName = name;
        ownSim = onOwnSim;
        legDownMbps = leg.map(Leg::downMbps).orElse(null);
        legUpMbps = leg.map(Leg::upMbps).orElse(null);
    }

    boolean isInBrowser() {
        return browserName != null;
    }

    /** What it may take at most, in byte; null where no budget is set. */
    @Nullable
    Long budgetBytes() {
        return budgetMb == null ? null : Math.round(budgetMb * RunRequest.BYTES_PER_MB);
    }

    Optional<Leg> leg() {
        return legDownMbps == null || legUpMbps == null
                ? Optional.empty()
                : Optional.of(new Leg(legDownMbps, legUpMbps));
    }
}

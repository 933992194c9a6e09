package syntoma.app.walk;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.StandingService;
import syntoma.app.instrument.Watch;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reply.Recent;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Walks and their marks, from the first step to what they came to. */
@Service
@Transactional
class Walks {
    private static final int LONGEST_PLACE = 60;
    private static final int MOST_MARKS = 200;
    private static final int LISTED = 10;

    private final EntityManager entities;
    private final StandingService standing;
    private final Watch watch;
    private final Clock clock;

    Walks(EntityManager entities, StandingService standing, Watch watch, Clock clock) {
        this.entities = entities;
        this.standing = standing;
        this.watch = watch;
        this.clock = clock;
    }

    /**
     * A mark that is asked for.
     *
     * @param place in a word or a few
     * @param agoS how long ago it was heard, in s, where the number was held; now where it is missing
     */
    record MarkRequest(@Nullable String place, @Nullable Double agoS) {}

    /** A walk in the list of the latest. */
    record WalkLine(
            long id,
            @Nullable String campsite,
            @Nullable String setup,
            OffsetDateTime beganAt,
            @Nullable OffsetDateTime endedAt) {}

    /** The latest walks, the last first; one that goes on stands before all. */
    @Transactional(readOnly = true)
    List<WalkLine> latest() {
        return entities
                .createQuery("select w from StoredWalk w order by w.id desc", StoredWalk.class)
                .setMaxResults(LISTED)
                .getResultList()
                .stream()
                .map(w -> new WalkLine(w.id, w.campsite, w.setup, w.beganAt, w.endedAt))
                .toList();
    }

    /** Begins one with what the standing line says. */
    WalkView begin(WalkMetric on) {
        boolean goesOn = !entities.createQuery("select w.id from StoredWalk w where w.endedAt is null", Long.class)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
        if (goesOn) {
            throw new ConflictException("a walk is already under way; end it before you begin another");
        }
        StandingService.StandingLine line = standing.line();
        StoredWalk walked = new StoredWalk(now());
        walked.campsite = line.campsite();
        walked.setup = line.setup() == null ? null : line.setup().name();
        walked.carrier = line.carrier();
        entities.persist(walked);
        return WalkView.of(walked, List.of(), on);
    }

    @Transactional(readOnly = true)
    WalkView view(long id, WalkMetric on) {
        return WalkView.of(find(id), marks(id), on);
    }

    /** Marks what the router says now, or said when the number was held. */
    WalkView mark(long id, MarkRequest asked, WalkMetric on) {
        String place = place(asked.place());
        double agoS = asked.agoS() == null ? 0 : checkedAgo(asked.agoS());
        StoredWalk walked = going(id);
        List<StoredMark> before = marks(id);
        if (before.size() >= MOST_MARKS) {
            throw new ConflictException("the walk has " + MOST_MARKS + " marks already; end it and begin another");
        }
        Recent recent = watch.recent();
        Optional<Recent.Steady> rsrp = recent.steadyAgo(RadioMetric.RSRP, agoS);
        Optional<Recent.Steady> sinr = recent.steadyAgo(RadioMetric.SINR, agoS);
        Recent.Steady heard = rsrp.or(() -> sinr)
                .orElseThrow(
                        () -> new ConflictException("the router says no level now, so that there is nothing to mark"));
        String known = before.stream()
                .map(m -> m.place)
                .filter(place::equalsIgnoreCase)
                .findFirst()
                .orElse(place);
        StoredMark marked = new StoredMark(id, known, now().minus(Duration.ofMillis(Math.round(1e3 * heard.agoS()))));
        marked.rsrpDbm = rsrp.map(Recent.Steady::value).orElse(null);
        marked.sinrDb = sinr.map(Recent.Steady::value).orElse(null);
        marked.band = heard.cell().band().orElse(null);
        marked.readings = heard.readings();
        entities.persist(marked);
        return WalkView.of(walked, marks(id), on);
    }

    private static String place(@Nullable String text) {
        if (text == null || text.isBlank()) {
            throw new InvalidInputException(
                    "place", "place is missing; allowed is a word for where it is, such as “window left”");
        }
        return InvalidInputException.naming("place", () -> Text.name("place", text, LONGEST_PLACE));
    }

    private static double checkedAgo(double agoS) {
        return InvalidInputException.naming("agoS", () -> Values.within("agoS", agoS, 0, Recent.KEPT_S, "s"));
    }

    /** Takes a mark back, or puts it back. */
    WalkView remove(long id, long mark, boolean removed, WalkMetric on) {
        StoredMark marked = entities.find(StoredMark.class, mark);
        if (marked == null || marked.walkId != id) {
            throw new NotFoundException("no mark " + mark + " on walk " + id);
        }
        marked.removed = removed;
        return WalkView.of(find(id), marks(id), on);
    }

    /** Ends it; only then it is said which places differ. */
    WalkView end(long id, WalkMetric on) {
        StoredWalk walked = going(id);
        walked.endedAt = now();
        return WalkView.of(walked, marks(id), on);
    }

    private StoredWalk going(long id) {
        StoredWalk walked = find(id);
        if (walked.endedAt != null) {
            throw new ConflictException("the walk is over; begin another one");
        }
        return walked;
    }

    private StoredWalk find(long id) {
        StoredWalk walked = entities.find(StoredWalk.class, id);
        if (walked == null) {
            throw new NotFoundException("no walk " + id);
        }
        return walked;
    }

    private List<StoredMark> marks(long id) {
        return entities.createQuery(
                        "select m from StoredMark m where m.walkId = :id and m.removed = false order by m.takenAt, m.id",
                        StoredMark.class)
                .setParameter("id", id)
                .getResultList();
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS);
    }
}

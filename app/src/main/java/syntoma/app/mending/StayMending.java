package syntoma.app.mending;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StayDates;
import syntoma.app.campsite.StayDates.Dates;
import syntoma.app.history.Edits;
import syntoma.app.history.Journal;
import syntoma.app.history.Undoing;
import syntoma.app.measurement.MeasurementReader;
import syntoma.app.measurement.Refiling;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Moment;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;

/** Puts stays right: their dates, where one should be two, and what was logged at the wrong one. */
@Service
@Transactional
class StayMending implements Undoing {
    private static final int MOST_MOVED = 5_000;

    private final StayDates stays;
    private final Campsites campsites;
    private final Refiling refiling;
    private final Edits edits;
    private final Journal journal;
    private final Clock clock;

    StayMending(StayDates stays, Campsites campsites, Refiling refiling, Edits edits, Journal journal, Clock clock) {
        this.stays = stays;
        this.campsites = campsites;
        this.refiling = refiling;
        this.edits = edits;
        this.journal = journal;
        this.clock = clock;
    }

    /**
     * What was done.
     *
     * @param moved measurements that stand elsewhere now
     * @param change by which it can be undone; null where nothing was changed
     */
    record MendOutcome(int moved, @Nullable Long change) {}

    /** What a stay was, for undoing. */
    record Was(long id, long campsite, String arrivedAt, @Nullable String leftAt, boolean stated) {
        static Was of(long id, Dates d) {
            return new Was(
                    id,
                    d.campsite(),
                    d.arrivedAt().toString(),
                    d.leftAt() == null ? null : d.leftAt().toString(),
                    d.isStated());
        }

        Dates dates() {
            return new Dates(
                    campsite,
                    OffsetDateTime.parse(arrivedAt),
                    leftAt == null ? null : OffsetDateTime.parse(leftAt),
                    stated);
        }
    }

    /**
     * What undoing needs.
     *
     * @param version of the stay after the change
     * @param added a stay that was added; null where none was
     * @param movedTo the campsite that measurements were moved to; null where none were
     * @param stood whether the standing line was led to the stay that was added
     */
    record StayChange(@Nullable Was was, int version, @Nullable Long added, @Nullable Long movedTo, boolean stood) {}

    /** Sets when a stay began and ended. */
    public MendOutcome dates(
            long id, OffsetDateTime arrivedAt, @Nullable OffsetDateTime leftAt, @Nullable Integer seen) {
        Dates before = stays.of(id);
        Dates wanted = check(id, new Dates(before.campsite(), arrivedAt, leftAt, true));
        if (before.arrivedAt().isEqual(wanted.arrivedAt()) && before.end().isEqual(wanted.end())) {
            return new MendOutcome(0, null);
        }
        edits.change(Edits.Kind.STAY, id, "This stay", seen, texts(before), texts(wanted));
        stays.set(id, wanted);
        return new MendOutcome(
                0,
                journal.write(
                        Journal.Kind.STAY_CHANGED,
                        "Changed the stay at " + stays.place(before) + " from " + span(before) + " to " + span(wanted),
                        new StayChange(Was.of(id, before), edits.version(Edits.Kind.STAY, id), null, null, false)));
    }

    private Dates check(long id, Dates wanted) {
        if (wanted.arrivedAt() == null) {
            throw new InvalidInputException("arrivedAt", "arrivedAt is missing; write a time with its offset");
        }
        checkYear("arrivedAt", wanted.arrivedAt());
        if (wanted.leftAt() != null) {
            checkYear("leftAt", wanted.leftAt());
        }
        OffsetDateTime now = OffsetDateTime.now(clock);
        if (wanted.arrivedAt().isAfter(now)) {
            throw new InvalidInputException(
                    "arrivedAt", "arrivedAt is " + Moment.text(wanted.arrivedAt()) + ", which is still to come");
        }
        if (wanted.leftAt() != null && !wanted.leftAt().isAfter(wanted.arrivedAt())) {
            throw new InvalidInputException(
                    "leftAt",
                    "leftAt is " + Moment.text(wanted.leftAt()) + "; it must be after the arrival, "
                            + Moment.text(wanted.arrivedAt()));
        }
        stays.inTheWay(id, wanted).ifPresent(other -> {
            throw new ConflictException(
                    "arrivedAt",
                    "that overlaps the stay at " + stays.place(other) + ", " + span(other) + "; change that one first");
        });
        return wanted;
    }

    private static void checkYear(String field, OffsetDateTime at) {
        if (at.getYear() < MeasurementReader.FIRST_YEAR || at.getYear() > MeasurementReader.LAST_YEAR) {
            throw new InvalidInputException(
                    field,
                    field + " is in the year " + at.getYear() + "; allowed is " + MeasurementReader.FIRST_YEAR + " to "
                            + MeasurementReader.LAST_YEAR);
        }
    }

    private static Map<String, String> texts(Dates dates) {
        Map<String, String> said = new TreeMap<>();
        said.put("arrivedAt", dates.arrivedAt().toString());
        if (dates.leftAt() != null) {
            said.put("leftAt", dates.leftAt().toString());
        }
        return said;
    }

    private static String span(Dates dates) {
        return Moment.text(dates.arrivedAt()) + " – " + (dates.leftAt() == null ? "now" : Moment.text(dates.leftAt()));
    }

    /** Makes two stays of one; what was measured from a moment on belongs to the later. */
    public MendOutcome split(long id, OffsetDateTime at, @Nullable String place) {
        Dates before = stays.of(id);
        String name = place == null || place.isBlank() ? "" : Register.name("campsite", place);
        if (at == null || !at.isAfter(before.arrivedAt()) || !at.isBefore(before.end())) {
            throw new InvalidInputException(
                    "at",
                    "at is " + (at == null ? "missing" : Moment.text(at)) + "; it must lie within the stay, "
                            + span(before));
        }
        Long campsite = name.isEmpty() ? Long.valueOf(before.campsite()) : campsites.number(name);
        List<Long> later =
                campsite == before.campsite() ? List.of() : refiling.during(before.campsite(), at, before.end());
        long entry = journal.write(Journal.Kind.STAY_CHANGED, "", "");
        boolean stood = stays.standingStay().filter(s -> s == id).isPresent();
        edits.change(
                Edits.Kind.STAY,
                id,
                "This stay",
                null,
                texts(before),
                texts(part(before, before.arrivedAt(), at.minusSeconds(1))));
        stays.set(id, part(before, before.arrivedAt(), at.minusSeconds(1)));
        long added = stays.add(new Dates(campsite, at, before.leftAt(), true));
        if (stood) {
            stays.stand(added);
        }
        int moved = later.isEmpty() ? 0 : refiling.move(entry, later, campsite).moved();
        journal.complete(
                entry,
                "Split the stay at " + stays.place(before) + " at " + Moment.text(at)
                        + (campsite == before.campsite()
                                ? ""
                                : "; the later part was at "
                                        + campsites.name(campsite).orElseThrow()),
                new StayChange(
                        Was.of(id, before),
                        edits.version(Edits.Kind.STAY, id),
                        added,
                        later.isEmpty() ? null : campsite,
                        stood));
        return new MendOutcome(moved, entry);
    }

    private static Dates part(Dates whole, OffsetDateTime from, @Nullable OffsetDateTime until) {
        return new Dates(whole.campsite(), from, until, true);
    }

    /** Lets measurements belong to another stay: they stand at its campsite, and it lasts long enough to hold them. */
    public MendOutcome move(List<Long> wanted, long stay) {
        if (wanted == null
                || wanted.isEmpty()
                || wanted.size() > MOST_MOVED
                || wanted.stream().anyMatch(Objects::isNull)) {
            throw new InvalidInputException(
                    "measurements", "measurements needs the numbers of 1 to " + MOST_MOVED + " of them");
        }
        List<Long> ids = refiling.existing(wanted);
        if (ids.size() < wanted.stream().distinct().count()) {
            throw new NotFoundException("some of the measurements are not there any more; look at the list again");
        }
        Dates before = stays.of(stay);
        Refiling.Span span = refiling.span(ids);
        if (refiling.campsites(ids).equals(Set.of(before.campsite()))) {
            throw new InvalidInputException(
                    "stay",
                    "they were measured at " + stays.place(before)
                            + " already; change when the stay began or ended instead");
        }
        long entry = journal.write(Journal.Kind.MOVED, "", "");
        Refiling.Outcome outcome = refiling.move(entry, ids, before.campsite());
        // a stay that follows from the measurements may last long enough by now
        Dates follows = stays.of(stay);
        boolean holds = follows.covers(span.from(), span.to());
        Dates after = holds ? follows : check(stay, widened(follows, span));
        if (!holds) {
            edits.change(Edits.Kind.STAY, stay, "This stay", null, texts(before), texts(after));
            stays.set(stay, after);
        }
        int count = outcome.moved() + outcome.same();
        journal.complete(
                entry,
                "Moved " + count + (count == 1 ? " measurement" : " measurements") + " to the stay at "
                        + stays.place(before) + ", " + span(after),
                new StayChange(
                        holds ? null : Was.of(stay, before),
                        edits.version(Edits.Kind.STAY, stay),
                        null,
                        before.campsite(),
                        false));
        return new MendOutcome(count, entry);
    }

    private static Dates widened(Dates dates, Refiling.Span span) {
        OffsetDateTime from = span.from().isBefore(dates.arrivedAt()) ? span.from() : dates.arrivedAt();
        OffsetDateTime until = dates.leftAt() != null && span.to().isAfter(dates.leftAt()) ? span.to() : dates.leftAt();
        return part(dates, from, until);
    }

    @Override
    public Set<Journal.Kind> kinds() {
        return Set.of(Journal.Kind.STAY_CHANGED, Journal.Kind.MOVED);
    }

    @Override
    public void undo(long entry, Journal.Kind kind, String detail) {
        StayChange made = Journal.read(detail, StayChange.class);
        if (made.was() != null && !edits.stands(Edits.Kind.STAY, made.was().id(), made.version())) {
            throw new ConflictException("this stay was changed again since; undo the later change first");
        }
        if (made.added() != null) {
            if (made.stood()) {
                stays.stand(made.was().id());
            }
            stays.drop(made.added());
        }
        Optional.ofNullable(made.was()).ifPresent(was -> {
            Dates stands = stays.of(was.id());
            edits.change(Edits.Kind.STAY, was.id(), "This stay", null, texts(stands), texts(was.dates()));
            stays.set(was.id(), was.dates());
        });
        if (made.movedTo() != null) {
            refiling.undo(entry, Refiling.What.CAMPSITE, made.movedTo());
        }
    }
}

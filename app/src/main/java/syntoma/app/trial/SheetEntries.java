package syntoma.app.trial;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.core.state.Move;

/** What was done on run sheets beside what was logged. What is done on two devices at once counts once. */
@Component
class SheetEntries {
    private static final double S_PER_MIN = 60;

    private final EntityManager entities;
    private final Pace pace;
    private final Clock clock;

    SheetEntries(EntityManager entities, Pace pace, Clock clock) {
        this.entities = entities;
        this.pace = pace;
        this.clock = clock;
    }

    /** The entries of a sheet, and what follows from them. */
    record Entries(List<SheetEntry> all) {
        /** Since when a visit stands; empty where it does not. */
        Optional<OffsetDateTime> stoodAt(int visit) {
            return last(visit, SheetEntry.Kind.STANDS, SheetEntry.Kind.BACK)
                    .filter(e -> e.kind == SheetEntry.Kind.STANDS)
                    .map(e -> e.enteredAt);
        }

        /** The visits that are left out. */
        Set<Integer> skippedVisits() {
            Set<Integer> skipped = new TreeSet<>();
            for (SheetEntry entry : all) {
                if (entry.kind == SheetEntry.Kind.SKIP) {
                    skipped.add(entry.visit);
                } else if (entry.kind == SheetEntry.Kind.UNSKIP) {
                    skipped.remove(entry.visit);
                }
            }
            return skipped;
        }

        /** Since when it is paused; empty while it is not. */
        Optional<OffsetDateTime> pausedAt() {
            return lastOf(SheetEntry.Kind.PAUSE, SheetEntry.Kind.RESUME)
                    .filter(e -> e.kind == SheetEntry.Kind.PAUSE)
                    .map(e -> e.enteredAt);
        }

        Optional<OffsetDateTime> resumedAt() {
            return lastOf(SheetEntry.Kind.RESUME).map(e -> e.enteredAt);
        }

        /** The measurements that were in doubt and are kept. */
        Set<Long> keptMeasurements() {
            return all.stream()
                    .filter(e -> e.kind == SheetEntry.Kind.KEEP)
                    .map(e -> e.measurement)
                    .collect(Collectors.toSet());
        }

        List<SheetView.SheetNote> notes() {
            return all.stream()
                    .filter(e -> e.kind == SheetEntry.Kind.NOTE)
                    .map(e -> new SheetView.SheetNote(e.enteredAt, e.visit, e.text))
                    .toList();
        }

        private Optional<SheetEntry> last(int visit, SheetEntry.Kind... kinds) {
            return new Entries(all.stream()
                            .filter(e -> e.visit != null && e.visit == visit)
                            .toList())
                    .lastOf(kinds);
        }

        private Optional<SheetEntry> lastOf(SheetEntry.Kind... kinds) {
            return all.stream().filter(e -> List.of(kinds).contains(e.kind)).reduce((earlier, later) -> later);
        }

        /** Whether an entry would say nothing new. */
        boolean has(SheetEntry.Kind kind, @Nullable Integer visit, @Nullable Long measurement) {
            return switch (kind) {
                case STANDS -> stoodAt(visit).isPresent();
                case BACK -> stoodAt(visit).isEmpty();
                case SKIP -> skippedVisits().contains(visit);
                case UNSKIP -> !skippedVisits().contains(visit);
                case PAUSE -> pausedAt().isPresent();
                case RESUME -> pausedAt().isEmpty();
                case KEEP -> keptMeasurements().contains(measurement);
                case NOTE -> false;
            };
        }
    }

    Entries of(long plan) {
        return new Entries(
                entities.createQuery("from SheetEntry e where e.planId = :plan order by e.id", SheetEntry.class)
                        .setParameter("plan", plan)
                        .getResultList());
    }

    /** Enters something, unless it says nothing new; whether it did. */
    boolean enter(
            TrialPlan plan,
            SheetEntry.Kind kind,
            @Nullable Integer visit,
            @Nullable Long measurement,
            @Nullable String text) {
        // one at a time for each sheet: what two devices say at once is one thing
        entities.lock(plan, LockModeType.PESSIMISTIC_WRITE);
        boolean isNew = !of(plan.id).has(kind, visit, measurement);
        if (isNew) {
            entities.persist(new SheetEntry(plan.id, OffsetDateTime.now(clock), kind, visit, measurement, text));
        }
        return isNew;
    }

    /**
     * Learns from what a change-over took.
     *
     * @param before when what was measured before was over
     */
    void learn(TrialPlan plan, List<Move> moves, OffsetDateTime before) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        OffsetDateTime from =
                of(plan.id).resumedAt().filter(r -> r.isAfter(before)).orElse(before);
        pace.keep(moves, Duration.between(from, now).toSeconds() / S_PER_MIN, now);
    }

    /** A text that is another one as soon as anything was entered. */
    String mark(long plan) {
        Object[] seen = entities.createQuery(
                        "select count(e), coalesce(max(e.id), 0) from SheetEntry e where e.planId = :plan",
                        Object[].class)
                .setParameter("plan", plan)
                .getSingleResult();
        return seen[0] + "." + seen[1];
    }
}

package syntoma.app.mending;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Stays;
import syntoma.app.history.Journal;
import syntoma.app.history.Undoing;
import syntoma.app.measurement.IntakeTurn;
import syntoma.app.measurement.PlannedTrials;
import syntoma.app.measurement.Refiling;
import syntoma.app.need.Carriers;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;
import syntoma.app.setup.SetupService;
import syntoma.app.setup.Setups;
import syntoma.core.unit.CloseNames;
import syntoma.core.unit.Text;

/** Renames and merges campsites, setups and carriers. */
@Service
class NamesService implements Undoing {
    private final Campsites campsites;
    private final Setups setups;
    private final SetupService chains;
    private final Carriers carriers;
    private final Stays stays;
    private final Refiling refiling;
    private final PlannedTrials plans;
    private final IntakeTurn turn;
    private final Journal journal;
    private final TransactionTemplate transaction;

    NamesService(
            Campsites campsites,
            Setups setups,
            SetupService chains,
            Carriers carriers,
            Stays stays,
            Refiling refiling,
            PlannedTrials plans,
            IntakeTurn turn,
            Journal journal,
            PlatformTransactionManager manager) {
        this.campsites = campsites;
        this.setups = setups;
        this.chains = chains;
        this.carriers = carriers;
        this.stays = stays;
        this.refiling = refiling;
        this.plans = plans;
        this.turn = turn;
        this.journal = journal;
        this.transaction = new TransactionTemplate(manager);
    }

    /** The number of a change, by which it can be undone; null where nothing was changed. */
    record ChangeNumber(@Nullable Long change) {}

    /**
     * What a merge moves, or would move.
     *
     * @param measurements that are under the other name then
     * @param same measurements that are there already, and are kept once
     * @param stays that become the other's
     * @param renamed trials that get another name because the other has one of theirs, by their names of before
     * @param change by which it can be undone; null for a preview
     */
    record MergeOutcome(
            String from,
            String into,
            int measurements,
            int same,
            int stays,
            Map<String, String> renamed,
            @Nullable Long change) {}

    /** What undoing a renaming needs. */
    record Renaming(String kind, long id, String was, String now) {}

    /** What undoing another name needs. */
    record Alias(String kind, String name) {}

    /** What undoing a merge needs. */
    record Merging(String kind, long from, long into, List<Long> stays, Map<String, String> plans) {}

    private Register<?> register(NameKind kind) {
        return switch (kind) {
            case CAMPSITE -> campsites;
            case SETUP -> setups;
            case CARRIER -> carriers;
        };
    }

    private String name(NameKind kind, long id) {
        return register(kind)
                .name(id)
                .orElseThrow(() -> new NotFoundException("no " + kind.word() + " has the number " + id));
    }

    /** Gives a thing another name. */
    @Transactional
    public ChangeNumber rename(NameKind kind, long id, String wanted) {
        String was = name(kind, id);
        register(kind).rename(id, wanted);
        String now = name(kind, id);
        return new ChangeNumber(
                was.equals(now)
                        ? null
                        : journal.write(
                                Journal.Kind.RENAMED,
                                "Renamed the " + kind.word() + " " + was + " to " + now,
                                new Renaming(kind.word(), id, was, now)));
    }

    /** Lets a name that is not known lead to a thing of another; that one is made where it is new too. */
    @Transactional
    public ChangeNumber addAlias(NameKind kind, String known, String wanted) {
        Long id = register(kind).number(Register.name("known", known));
        String name = Register.name("name", wanted);
        if (register(kind).find(name).filter(id::equals).isPresent()) {
            return new ChangeNumber(null);
        }
        register(kind).alsoNamed(id, name);
        return new ChangeNumber(journal.write(
                Journal.Kind.ALSO_NAMED,
                Text.quote(name) + " in a file means the " + kind.word() + " " + name(kind, id),
                new Alias(kind.word(), name)));
    }

    /** The known name that a name which is not known is close to. */
    @Transactional(readOnly = true)
    public Optional<String> close(NameKind kind, String name) {
        Map<String, Long> known = register(kind).numbers();
        return known.containsKey(name.strip())
                ? Optional.empty()
                : CloseNames.among(known.keySet(), name)
                        .flatMap(n -> register(kind).name(known.get(n)));
    }

    /** What merging one into another would move; nothing is changed. */
    MergeOutcome preview(NameKind kind, long from, long into) {
        return transaction.execute(status -> {
            status.setRollbackOnly();
            MergeOutcome merged = merging(kind, from, into);
            return new MergeOutcome(
                    merged.from, merged.into, merged.measurements, merged.same, merged.stays, merged.renamed, null);
        });
    }

    /**
     * Lets one stand for another: all that was measured under the other's name is its own.
     *
     * @throws ConflictException when an import is under way, or the other is a setup with a chain
     */
    MergeOutcome merge(NameKind kind, long from, long into) {
        return transaction.execute(status -> merging(kind, from, into));
    }

    private MergeOutcome merging(NameKind kind, long from, long into) {
        turn.requireFree();
        String gone = name(kind, from);
        String stays = name(kind, into);
        if (gone.equals(stays)) {
            throw new InvalidInputException(
                    "into", "into is the same " + kind.word() + "; choose another to stand for it");
        }
        if (kind == NameKind.SETUP && chains.hasChain(from)) {
            throw new ConflictException(gone + " has a chain of its own, so its measurements stay its own; merge "
                    + stays + " into " + gone + " instead, or retire it");
        }
        long entry = journal.write(Journal.Kind.MERGED, "", new Alias("", ""));
        register(kind).merge(from, into);
        List<Long> movedStays = kind == NameKind.CAMPSITE ? this.stays.refile(from, into) : List.of();
        Refiling.Outcome outcome = refiling.moveAll(entry, kind.what(), from, into);
        journal.complete(
                entry,
                "Merged the " + kind.word() + " " + gone + " into " + stays + " (" + outcome.moved() + " measurements)",
                new Merging(kind.word(), from, into, movedStays, outcome.plans()));
        return new MergeOutcome(
                gone, stays, outcome.moved(), outcome.same(), movedStays.size(), outcome.renamed(), entry);
    }

    @Override
    public Set<Journal.Kind> kinds() {
        return Set.of(Journal.Kind.RENAMED, Journal.Kind.ALSO_NAMED, Journal.Kind.MERGED);
    }

    @Override
    public void undo(long entry, Journal.Kind kind, String detail) {
        turn.requireFree();
        switch (kind) {
            case RENAMED -> undoRenaming(Journal.read(detail, Renaming.class));
            case ALSO_NAMED -> {
                Alias alias = Journal.read(detail, Alias.class);
                register(NameKind.of(alias.kind())).forget(alias.name());
            }
            default -> undoMerging(entry, Journal.read(detail, Merging.class));
        }
    }

    private void undoRenaming(Renaming made) {
        NameKind kind = NameKind.of(made.kind());
        if (!name(kind, made.id()).equals(made.now())) {
            throw new ConflictException(made.now() + " was renamed again since; undo the later change first");
        }
        register(kind).rename(made.id(), made.was());
        register(kind).forget(made.now());
    }

    private void undoMerging(long entry, Merging made) {
        NameKind kind = NameKind.of(made.kind());
        register(kind).part(made.from(), made.into());
        if (kind == NameKind.CAMPSITE) {
            stays.refile(made.stays(), made.from());
            plans.move(made.into(), made.from(), reverse(made.plans()));
        }
        refiling.undo(entry, kind.what(), made.into());
    }

    private static Map<String, String> reverse(Map<String, String> names) {
        return names.entrySet().stream()
                .collect(java.util.stream.Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));
    }
}

package syntoma.app.findings;

import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.store.Revision;
import syntoma.app.trial.KnownFaults;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Finding;
import syntoma.core.reading.Figure;

/** Setups that hear less since some day: whatever is compared with one of them from then on is compared with a fault. */
@Service
@Transactional(readOnly = true)
class Faults implements KnownFaults {
    private final FindingsService findings;
    private final Drifts drifts;
    private final Revision revision;
    private final AtomicReference<KnownOf> kept = new AtomicReference<>();

    Faults(FindingsService findings, Drifts drifts, Revision revision) {
        this.findings = findings;
        this.drifts = drifts;
        this.revision = revision;
    }

    /** What was found of which state of the store. */
    private record KnownOf(long revision, List<Fault> faults) {}

    /** All that are known; kept until anything changes. */
    List<Fault> all() {
        long now = revision.number();
        KnownOf before = kept.get();
        if (before != null && before.revision == now) {
            return before.faults;
        }
        FindingsService.FindingsAnswer levels =
                findings.find(ComparedKind.SETUPS, Criterion.of(Figure.RSRP_DBM), null, FindingsFilter.ALL);
        List<Fault> faults = levels.finding().isEmpty() ? List.of() : of(drifts.view(levels));
        kept.set(new KnownOf(now, faults));
        return faults;
    }

    private static List<Fault> of(FindingsView.DriftsView view) {
        return view.setups().stream()
                .filter(d ->
                        d.change() != null && d.change().afterDb() < d.change().beforeDb())
                .map(d -> new Fault(
                        d.setup(),
                        d.change().at().toLocalDate(),
                        d.change().beforeDb() - d.change().afterDb()))
                .toList();
    }

    Optional<Fault> in(Collection<String> setups) {
        return all().stream().filter(f -> setups.contains(f.setup())).findFirst();
    }

    /** A comparison with the faults of what it compares. */
    FindingsView annotate(FindingsView view) {
        if (!view.of().equals(ComparedKind.SETUPS.key())) {
            return view;
        }
        List<String> compared =
                view.setups().stream().map(FindingsView.ComparedView::setup).toList();
        return view.with(all().stream()
                .filter(f -> compared.contains(f.setup()))
                .map(f -> new Finding.Remark("fault", f.sentence(), List.of(f.setup())))
                .toList());
    }

    @Override
    public List<Fault> of(Collection<String> setups, OffsetDateTime until) {
        return all().stream()
                .filter(f -> setups.contains(f.setup()) && !f.since().isAfter(until.toLocalDate()))
                .toList();
    }
}

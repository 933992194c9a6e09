package syntoma.app.need;

import static syntoma.app.platform.Optionals.boxed;
import static syntoma.app.platform.Optionals.optional;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.store.StoreEmptiedEvent;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Need;
import syntoma.core.need.PartOfDay;
import syntoma.core.need.Requirement;
import syntoma.core.unit.Text;

/** What the connection is for. */
@Service
@Transactional
public class Needs {
    /** Rates were once kept unrounded. */
    private static final double ROUNDING_MBPS = 0.01;

    private static final int LONGEST_NAME = 80;

    private final EntityManager entities;
    private final Vehicles vehicles;
    private final Edits edits;

    Needs(EntityManager entities, Vehicles vehicles, Edits edits) {
        this.entities = entities;
        this.vehicles = vehicles;
        this.edits = edits;
    }

    /** A need as it is edited. */
    public record NeedRequest(
            String name,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            String partOfDay,
            double hoursADay,
            boolean chosen) {}

    /** A need with its version. */
    public record NeedView(
            String name,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            String partOfDay,
            double hoursADay,
            boolean chosen,
            int version) {}

    /** What the chosen needs ask for in one part of the day. */
    public record PartView(String part, @Nullable Double downMbps, @Nullable Double upMbps, List<String> needs) {}

    /** What the chosen needs ask for together; the time is that of the usual upload at the upload they ask for. */
    public record RequirementView(
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            double gbAMonth,
            List<PartView> parts,
            @Nullable String uploadTime,
            String sentence) {}

    /** All needs, and what the chosen ones ask for. */
    public record NeedsView(List<NeedView> needs, RequirementView requirement, List<String> partsOfDay) {}

    /** All needs, and what the chosen ones ask for. */
    @Transactional(readOnly = true)
    public NeedsView view() {
        Map<Long, Integer> versions = edits.versions(Edits.Kind.NEED);
        return new NeedsView(
                rows().stream()
                        .map(n -> view(n, versions.getOrDefault(n.id, 0)))
                        .toList(),
                requirementView(),
                Arrays.stream(PartOfDay.values()).map(PartOfDay::label).toList());
    }

    private List<NeedRow> rows() {
        return entities.createQuery("from NeedRow n order by n.id", NeedRow.class)
                .getResultList();
    }

    /** The built-in needs are there from the first start. */
    @EventListener({ApplicationStartedEvent.class, StoreEmptiedEvent.class})
    public void begin() {
        if (rows().isEmpty()) {
            for (Need need : BuiltInNeeds.all()) {
                NeedRow row = new NeedRow(need.name());
                set(row, need);
                entities.persist(row);
            }
        }
    }

    /**
     * The usual upload sets the rate of the need for large uploads: its GB over the hours of a night. A rate that a person set by hand
     * stays.
     */
    @EventListener
    public void uploads(UsualUpload usual) {
        double before = Objects.requireNonNullElse(usual.before(), BuiltInNeeds.USUAL_UPLOAD_GB);
        rows().stream()
                .filter(n -> n.name.equals(BuiltInNeeds.LARGE_UPLOADS) && n.hoursADay > 0)
                .filter(n -> n.upMbps != null && Math.abs(n.upMbps - uploadMbps(before, n.hoursADay)) < ROUNDING_MBPS)
                .forEach(n -> n.upMbps = uploadMbps(usual.gb(), n.hoursADay));
        entities.flush();
    }

    private static double uploadMbps(double gb, double hours) {
        return Math.min(Need.MOST_MBPS, Math.max(Need.LEAST_MBPS, BuiltInNeeds.uploadMbps(gb, hours)));
    }

    private static void set(NeedRow row, Need need) {
        row.downMbps = boxed(need.downMbps());
        row.upMbps = boxed(need.upMbps());
        row.loadedMs = boxed(need.loadedMs());
        row.lossPct = boxed(need.lossPct());
        row.partOfDay = need.hours().label();
        row.hoursADay = need.hoursADay();
    }

    private static NeedView view(NeedRow n, int version) {
        return new NeedView(
                n.name, n.downMbps, n.upMbps, n.loadedMs, n.lossPct, n.partOfDay, n.hoursADay, n.chosen, version);
    }

    private static NeedRequest request(NeedRow n) {
        return new NeedRequest(n.name, n.downMbps, n.upMbps, n.loadedMs, n.lossPct, n.partOfDay, n.hoursADay, n.chosen);
    }

    private static Need need(NeedRequest n) {
        return new Need(
                n.name(),
                optional(n.downMbps()),
                optional(n.upMbps()),
                optional(n.loadedMs()),
                optional(n.lossPct()),
                PartOfDay.fromLabel(Objects.requireNonNullElse(n.partOfDay(), "")),
                n.hoursADay());
    }

    /**
     * Changes a need, or adds one of a new name.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(NeedRequest wanted, @Nullable Integer seen) {
        String name = InvalidInputException.naming("name", () -> Text.name("name", wanted.name(), LONGEST_NAME));
        InvalidInputException.naming(
                "partOfDay", () -> PartOfDay.fromLabel(Objects.requireNonNullElse(wanted.partOfDay(), "")));
        Need need = InvalidInputException.naming("need", () -> need(wanted));
        NeedRow row =
                rows().stream().filter(n -> n.name.equals(name)).findFirst().orElseGet(() -> new NeedRow(name));
        NeedRequest before = request(row);
        set(row, need);
        row.chosen = wanted.chosen();
        entities.persist(row);
        entities.flush();
        edits.change(Edits.Kind.NEED, row.id, name, seen, before, request(row));
    }

    /** Chooses the built-in needs of some names. */
    public void choose(List<String> names) {
        rows().stream().filter(n -> names.contains(n.name)).forEach(n -> n.chosen = true);
    }

    /** The needs that are chosen. */
    @Transactional(readOnly = true)
    public List<Need> chosenNeeds() {
        return rows().stream().filter(n -> n.chosen).map(n -> need(request(n))).toList();
    }

    /** What the chosen needs ask for together. */
    @Transactional(readOnly = true)
    public Requirement requirement() {
        return Requirement.of(chosenNeeds());
    }

    private RequirementView requirementView() {
        List<Need> chosen = chosenNeeds();
        Requirement r = Requirement.of(chosen);
        Optional<Double> upload = vehicles.uploadGb();
        return new RequirementView(
                boxed(r.downMbps()),
                boxed(r.upMbps()),
                boxed(r.loadedMs()),
                boxed(r.lossPct()),
                r.gbAMonth(),
                r.parts().stream()
                        .map(p -> new PartView(p.part().label(), boxed(p.downMbps()), boxed(p.upMbps()), p.needs()))
                        .toList(),
                upload.flatMap(r::uploadTime).orElse(null),
                Requirement.sentence(chosen));
    }
}

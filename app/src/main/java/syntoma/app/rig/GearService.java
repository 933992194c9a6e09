package syntoma.app.rig;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.logbook.Logbook;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;

/** The gear shelf. */
@Service
@Transactional
public class GearService {
    static final String OWNED = "owned";
    static final String CONSIDERED = "considered";
    private static final List<String> STATES = List.of(OWNED, CONSIDERED, "retired");
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_SHEET = 200_000;
    private static final double MOST_MONEY = 1_000_000;

    private final EntityManager entities;
    private final Json json;
    private final Logbook logbook;
    private final Edits edits;

    GearService(EntityManager entities, Json json, Logbook logbook, Edits edits) {
        this.entities = entities;
        this.json = json;
        this.logbook = logbook;
        this.edits = edits;
    }

    /** Gear as a person or a file gives it; the price and the numbers of the sheet may be texts. */
    public record GearRequest(
            String kind,
            String name,
            String state,
            @Nullable @Schema(type = "string") Object price,
            Map<String, Object> sheet) {}

    /** What an import of gear did; an item that stands on the shelf already is counted, not changed. */
    public record GearImport(int accepted, int duplicates, List<GearRejection> rejected) {}

    /** An item that was refused. */
    public record GearRejection(int item, String name, String message) {}

    /** All gear by kind and name, in four statements however much there is. */
    @Transactional(readOnly = true)
    public List<GearItem> all() {
        Map<Long, List<String>> setups = setupsByGear();
        Map<Long, Integer> versions = edits.versions(Edits.Kind.GEAR);
        return entities.createQuery("from Gear g order by g.name", Gear.class).getResultList().stream()
                .map(g -> item(g, setups.getOrDefault(g.id, List.of()), versions.getOrDefault(g.id, 0)))
                .sorted(Comparator.comparing(GearItem::is))
                .toList();
    }

    private GearItem item(Gear g, List<String> setups, int version) {
        return new GearItem(g.id, g.kind, g.name, g.state, g.price, json.sheet(g.sheet), setups, version);
    }

    /** Gear by its number. */
    @Transactional(readOnly = true)
    public Map<Long, GearItem> byNumber() {
        return all().stream().collect(Collectors.toMap(GearItem::id, g -> g));
    }

    /** Setups by the gear that any of their revisions holds: what was measured keeps what it was measured with. */
    private Map<Long, List<String>> setupsByGear() {
        Map<Long, String> names =
                logbook.setups().stream().collect(Collectors.toMap(Logbook.SetupName::id, Logbook.SetupName::name));
        Map<Long, List<String>> setups = new HashMap<>();
        entities.createQuery("from SetupRevision r order by r.setupId, r.revision", SetupRevision.class)
                .getResultList()
                .forEach(r -> json.plan(r.chain).gear().forEach(gear -> {
                    List<String> list = setups.computeIfAbsent(gear, g -> new ArrayList<>());
                    String name = names.get(r.setupId);
                    if (!list.contains(name)) {
                        list.add(name);
                    }
                }));
        return setups;
    }

    /** Puts something on the shelf. */
    public GearItem add(GearRequest request) {
        Gear gear = stored(new Gear(kind(request).label()), request);
        return item(gear, List.of(), 0);
    }

    /**
     * Changes a piece of gear; its kind stays.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public GearItem change(long id, GearRequest request, @Nullable Integer seen) {
        Gear gear = find(id);
        if (!gear.kind.equals(kind(request).label())) {
            throw new InvalidInput("kind", "kind is " + request.kind() + "; " + gear.name + " is a " + gear.kind);
        }
        GearRequest before = request(gear);
        stored(gear, request);
        edits.change(Edits.Kind.GEAR, id, gear.name, seen, before, request(gear));
        return item(gear, setupsByGear().getOrDefault(id, List.of()), edits.version(Edits.Kind.GEAR, id));
    }

    private GearRequest request(Gear g) {
        return new GearRequest(g.kind, g.name, g.state, g.price, json.sheet(g.sheet));
    }

    private static GearKind kind(GearRequest request) {
        return InvalidInput.naming("kind", () -> GearKind.labelled(Objects.requireNonNullElse(request.kind(), "")));
    }

    private Gear stored(Gear gear, GearRequest request) {
        List<FieldProblem> problems = new ArrayList<>();
        GearItem read = read(gear.id == null ? 0 : gear.id, kind(request), request, problems);
        if (!problems.isEmpty()) {
            throw new InvalidInput(problems);
        }
        named(read.name()).filter(other -> !other.id.equals(gear.id)).ifPresent(other -> {
            throw new Conflict("name", "name is " + Text.quoted(read.name()) + ", which is on the shelf already");
        });
        gear.name = read.name();
        gear.state = read.state();
        gear.price = read.price();
        gear.sheet = json.write(read.sheet());
        if (gear.sheet.length() > LONGEST_SHEET) {
            throw new InvalidInput(
                    "sheet", "sheet has " + gear.sheet.length() + " characters; allowed are up to " + LONGEST_SHEET);
        }
        entities.persist(gear);
        entities.flush();
        return gear;
    }

    private GearItem read(long id, GearKind kind, GearRequest request, List<FieldProblem> problems) {
        SheetReader reader = new SheetReader();
        String name = request.name() == null ? "" : request.name().strip();
        try {
            name = Text.name("name", name, LONGEST_NAME);
        } catch (IllegalArgumentException refused) {
            problems.add(new FieldProblem("name", refused.getMessage()));
        }
        String state = request.state() == null ? CONSIDERED : request.state();
        if (!STATES.contains(state)) {
            problems.add(new FieldProblem(
                    "state", "state is " + Text.quoted(state) + "; allowed is " + String.join(", ", STATES)));
        }
        Double price = request.price() == null || request.price().toString().isBlank()
                ? null
                : reader.number("price", request.price(), 0.0, MOST_MONEY, "", false, "price");
        Map<String, Object> given = request.sheet() == null ? Map.of() : request.sheet();
        GearItem item = new GearItem(
                id, kind.label(), name, state, price, reader.read(SheetForms.of(kind), given, "sheet."), List.of(), 0);
        problems.addAll(reader.problems());
        if (problems.isEmpty()) {
            try {
                Parts.check(item);
            } catch (IllegalArgumentException refused) {
                problems.add(new FieldProblem("sheet", refused.getMessage()));
            }
        }
        return item;
    }

    private Optional<Gear> named(String name) {
        return entities.createQuery("from Gear g where g.name = :name", Gear.class)
                .setParameter("name", name)
                .getResultStream()
                .findFirst();
    }

    /**
     * Takes something off the shelf.
     *
     * @throws Conflict when it is in a setup; it can be retired instead
     */
    public void delete(long id) {
        Gear gear = find(id);
        List<String> setups = setupsByGear().getOrDefault(id, List.of());
        if (!setups.isEmpty()) {
            throw new Conflict(gear.name + " is in " + String.join(", ", setups)
                    + ", so it stays with what was measured. Retire it, and it is offered no more.");
        }
        entities.remove(gear);
    }

    private Gear find(long id) {
        Gear gear = entities.find(Gear.class, id);
        if (gear == null) {
            throw new NotFound("no gear has the number " + id);
        }
        return gear;
    }

    /** Takes items in one by one; the good ones are kept in one transaction. */
    public GearImport takeIn(List<GearRequest> items) {
        int accepted = 0;
        int duplicates = 0;
        List<GearRejection> rejected = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            GearRequest item = items.get(i);
            if (item == null) {
                rejected.add(new GearRejection(i + 1, "", "the item is empty"));
                continue;
            }
            try {
                if (same(item)) {
                    duplicates++;
                } else {
                    add(item);
                    accepted++;
                }
            } catch (InvalidInput | Conflict refused) {
                String name = item.name() == null ? "" : Text.shortened(item.name());
                rejected.add(new GearRejection(i + 1, name, refused.getMessage()));
            }
        }
        return new GearImport(accepted, duplicates, rejected);
    }

    private boolean same(GearRequest item) {
        List<FieldProblem> problems = new ArrayList<>();
        GearItem read = read(0, kind(item), item, problems);
        return problems.isEmpty()
                && named(read.name())
                        .filter(g -> g.kind.equals(read.kind())
                                && g.state.equals(read.state())
                                && Objects.equals(g.price, read.price())
                                && g.sheet.equals(json.write(read.sheet())))
                        .isPresent();
    }
}

package syntoma.app.gear;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.platform.ConfirmationRequiredException;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Json;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;

/** The gear shelf. */
@Service
@Transactional
public class GearService {
    private static final int LONGEST_SHEET = 200_000;

    private final EntityManager entities;
    private final Json json;
    private final GearUse use;
    private final Edits edits;
    private final ApplicationEventPublisher events;

    GearService(EntityManager entities, Json json, GearUse use, Edits edits, ApplicationEventPublisher events) {
        this.entities = entities;
        this.json = json;
        this.use = use;
        this.edits = edits;
        this.events = events;
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
        Map<Long, List<String>> setups = use.setups();
        Map<Long, Integer> versions = edits.versions(Edits.Kind.GEAR);
        return entities.createQuery("from Gear g order by g.name", Gear.class).getResultList().stream()
                .map(g -> item(g, setups.getOrDefault(g.id, List.of()), versions.getOrDefault(g.id, 0)))
                .sorted(Comparator.comparing(GearItem::is))
                .toList();
    }

    private GearItem item(Gear g, List<String> setups, int version) {
        return new GearItem(g.id, g.kind, g.name, g.state, g.price, json.fields(g.sheet), setups, version);
    }

    /** Gear by its number, in one statement; where each piece is used is left out. */
    @Transactional(readOnly = true)
    public Map<Long, GearItem> byNumber() {
        return entities.createQuery("from Gear g", Gear.class)
                .getResultStream()
                .collect(Collectors.toMap(g -> g.id, g -> item(g, List.of(), 0)));
    }

    /** Puts something on the shelf. */
    public GearItem add(GearRequest request) {
        Gear gear = new Gear(kind(request).label());
        GearItem read = read(gear, request);
        store(gear, read, findByName(read.name()));
        entities.flush();
        return item(gear, List.of(), 0);
    }

    /** How a changed sheet of something that was measured with is meant. */
    public enum SheetChange {
        CORRECTION(
                "correction",
                "A correction",
                "The paper was wrong: the sheet is put right for all that was measured with it."),
        OTHER_PART(
                "other-part",
                "Another part",
                "It is another part now: what was measured keeps the old sheet, and the setups go on with their next"
                        + " revision.");

        private final String as;
        private final String label;
        private final String says;

        SheetChange(String as, String label, String says) {
            this.as = as;
            this.label = label;
            this.says = says;
        }

        static SheetChange fromLabel(String text) {
            return Labels.find("as", text, values(), m -> m.as);
        }

        static ConfirmationRequiredException question(GearItem item, List<String> setups) {
            return new ConfirmationRequiredException(
                    "as",
                    item.name() + " was measured with in " + String.join(", ", setups)
                            + ". Is the new sheet a correction, or is it another part?",
                    Arrays.stream(values())
                            .map(m -> new ConfirmationRequiredException.Choice(m.as, m.label, m.says))
                            .toList());
        }
    }

    /**
     * Changes a piece of gear; its kind stays.
     *
     * @param seen the version that was looked at; null when that is not known
     * @param meant needed where the sheet changes of something that was measured with
     * @throws ConfirmationRequiredException where it is needed and not said
     */
    public GearItem change(long id, GearRequest request, @Nullable Integer seen, Optional<SheetChange> meant) {
        Gear gear = find(id);
        if (!gear.kind.equals(kind(request).label())) {
            throw new InvalidInputException(
                    "kind", "kind is " + request.kind() + "; " + gear.name + " is a " + gear.kind);
        }
        GearItem was = item(gear, List.of(), 0);
        GearRequest before = request(gear);
        String name = gear.name;
        String sheet = gear.sheet;
        store(
                gear,
                read(gear, request),
                findByName(Objects.requireNonNullElse(request.name(), "").strip()));
        edits.change(Edits.Kind.GEAR, id, gear.name, seen, before, request(gear));
        if (!gear.sheet.equals(sheet)) {
            settle(was, meant);
        }
        if (!gear.name.equals(name)) {
            events.publishEvent(new GearRenamedEvent(name, gear.name));
        }
        return item(gear, use.setups().getOrDefault(id, List.of()), edits.version(Edits.Kind.GEAR, id));
    }

    private void settle(GearItem was, Optional<SheetChange> meant) {
        List<String> setups = use.setupsMeasuredWith(was.id());
        if (!setups.isEmpty() && meant.orElseThrow(() -> SheetChange.question(was, setups)) == SheetChange.OTHER_PART) {
            use.onReplace(was);
        }
    }

    private GearRequest request(Gear g) {
        return new GearRequest(g.kind, g.name, g.state, g.price, json.fields(g.sheet));
    }

    private static GearKind kind(GearRequest request) {
        return InvalidInputException.naming(
                "kind", () -> GearKind.fromLabel(Objects.requireNonNullElse(request.kind(), "")));
    }

    /** What is given, read by the form of its kind. */
    private GearItem read(Gear gear, GearRequest request) {
        List<FieldProblem> problems = new ArrayList<>();
        GearItem read = GearReader.read(gear.id == null ? 0 : gear.id, kind(request), request, problems);
        if (!problems.isEmpty()) {
            throw new InvalidInputException(problems);
        }
        return read;
    }

    private void store(Gear gear, GearItem read, Optional<Gear> ofThatName) {
        ofThatName.filter(other -> !other.id.equals(gear.id)).ifPresent(other -> {
            throw new ConflictException(
                    "name", "name is " + Text.quote(read.name()) + ", which is on the shelf already");
        });
        String sheet = json.write(read.sheet());
        if (sheet.length() > LONGEST_SHEET) {
            throw new InvalidInputException(
                    "sheet", "sheet has " + sheet.length() + " characters; allowed are up to " + LONGEST_SHEET);
        }
        gear.name = read.name();
        gear.state = read.state();
        gear.price = read.price();
        gear.sheet = sheet;
        entities.persist(gear);
    }

    private Optional<Gear> findByName(String name) {
        return entities.createQuery("from Gear g where g.name = :name", Gear.class)
                .setParameter("name", name)
                .getResultStream()
                .findFirst();
    }

    /**
     * Takes something off the shelf.
     *
     * @throws ConflictException when it is in a setup; it can be retired instead
     */
    public void delete(long id) {
        Gear gear = find(id);
        List<String> setups = use.setups().getOrDefault(id, List.of());
        if (!setups.isEmpty()) {
            throw new ConflictException(gear.name + " is in " + String.join(", ", setups)
                    + ", so it stays with its measurements. Retire it instead: it is then no longer offered.");
        }
        entities.remove(gear);
    }

    private Gear find(long id) {
        Gear gear = entities.find(Gear.class, id);
        if (gear == null) {
            throw new NotFoundException("no gear has the number " + id);
        }
        return gear;
    }

    /** Takes items in one by one; the good ones are kept in one transaction. The shelf is read once for all of them. */
    public GearImport takeIn(List<GearRequest> items) {
        Map<String, Gear> shelf = entities.createQuery("from Gear g", Gear.class)
                .getResultStream()
                .collect(Collectors.toMap(g -> g.name, g -> g));
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
                Gear gear = new Gear(kind(item).label());
                GearItem read = read(gear, item);
                if (isSame(shelf.get(read.name()), read)) {
                    duplicates++;
                } else {
                    store(gear, read, Optional.ofNullable(shelf.get(read.name())));
                    shelf.put(gear.name, gear);
                    accepted++;
                }
            } catch (InvalidInputException | ConflictException refused) {
                String name = item.name() == null ? "" : Text.shortened(item.name());
                rejected.add(new GearRejection(i + 1, name, refused.getMessage()));
            }
        }
        return new GearImport(accepted, duplicates, rejected);
    }

    private boolean isSame(@Nullable Gear gear, GearItem read) {
        return gear != null
                && gear.kind.equals(read.kind())
                && gear.state.equals(read.state())
                && Objects.equals(gear.price, read.price())
                && gear.sheet.equals(json.write(read.sheet()));
    }
}

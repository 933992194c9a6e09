package syntoma.app.gear;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import syntoma.app.gear.GearService.GearRequest;
import syntoma.app.platform.Register;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;

/** Reads a piece of gear as a person or a file gives it, and collects all that is wrong. */
final class GearReader {
    private static final double MOST_MONEY = 1_000_000;

    private GearReader() {}

    static GearItem read(long id, GearKind kind, GearRequest request, List<FieldProblem> problems) {
        SheetReader reader = new SheetReader();
        String name = Objects.requireNonNullElse(request.name(), "").strip();
        try {
            name = Text.name("name", name, Register.LONGEST_NAME);
        } catch (IllegalArgumentException refused) {
            problems.add(new FieldProblem("name", refused.getMessage()));
        }
        String state = Objects.requireNonNullElse(request.state(), GearItem.CONSIDERED);
        if (!GearItem.STATES.contains(state)) {
            problems.add(new FieldProblem(
                    "state", "state is " + Text.quote(state) + "; allowed is " + String.join(", ", GearItem.STATES)));
        }
        Double price = request.price() == null || request.price().toString().isBlank()
                ? null
                : reader.number("price", request.price(), 0.0, MOST_MONEY, "", false, "price");
        Map<String, Object> given = Objects.requireNonNullElse(request.sheet(), Map.of());
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
}

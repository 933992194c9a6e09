package syntoma.app.store;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.lang.Nullable;

/** The rows that the migrations put into a new store. A store in which nobody has put anything holds these and the built-in needs. */
final class FirstRows {
    private static final Map<String, Map<String, Object>> SEEDED = Map.of(
            "standing", Map.of("id", 1),
            "compass", Map.of("id", 1, "declination_deg", 0),
            "rig",
                    Map.of(
                            "id",
                            1,
                            "vehicle",
                            "Vehicle",
                            "body",
                            "steel",
                            "height_m",
                            2.8,
                            "battery_ah",
                            100,
                            "battery_v",
                            12,
                            "hours_a_day",
                            24,
                            "features",
                            ""));

    /** Who changes a need leaves an edit, so that the table of edits tells for it. */
    private static final Set<String> TOLD_BY_EDITS = Set.of("need");

    private FirstRows() {}

    /** The statements that write them. */
    static List<String> inserts() {
        return SEEDED.entrySet().stream()
                .map(table -> {
                    List<String> columns =
                            table.getValue().keySet().stream().sorted().toList();
                    return "insert into " + table.getKey() + " (" + String.join(", ", columns) + ") values ("
                            + String.join(
                                    ", ",
                                    columns.stream()
                                            .map(c -> literal(table.getValue().get(c)))
                                            .toList())
                            + ")";
                })
                .toList();
    }

    private static String literal(Object value) {
        return value instanceof String text ? "'" + text + "'" : value.toString();
    }

    /** Whether no table holds anything else. */
    static boolean areAll(StoreTables.View view) {
        return view.tables().stream().allMatch(table -> isAtFirst(view, table));
    }

    private static boolean isAtFirst(StoreTables.View view, StoreTables.Table table) {
        if (TOLD_BY_EDITS.contains(table.name())) {
            return true;
        }
        Map<String, Object> seeded = SEEDED.get(table.name());
        if (seeded == null) {
            return view.isEmpty(table);
        }
        List<Map<String, Object>> rows = new ArrayList<>();
        view.read(table, values -> rows.add(byColumn(table, values)));
        return rows.size() == 1 && isSeed(table, seeded, rows.get(0));
    }

    private static Map<String, Object> byColumn(StoreTables.Table table, Object[] values) {
        Map<String, Object> row = new HashMap<>();
        List<String> names =
                table.columns().stream().map(StoreTables.Column::name).toList();
        for (int i = 0; i < values.length; i++) {
            row.put(names.get(i), values[i]);
        }
        return row;
    }

    private static boolean isSeed(StoreTables.Table table, Map<String, Object> seeded, Map<String, Object> row) {
        return table.columns().stream()
                .allMatch(column ->
                        isSame(seeded.getOrDefault(column.name(), column.otherwise()), row.get(column.name())));
    }

    private static boolean isSame(@Nullable Object one, @Nullable Object other) {
        return one instanceof Number a && other instanceof Number b
                ? Double.compare(a.doubleValue(), b.doubleValue()) == 0
                : Objects.equals(one, other);
    }
}

package syntoma.app.gear;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * One field of a data sheet, as the form shows it and as the reader judges it.
 *
 * @param key its name in the sheet
 * @param type text, number, whole, choice, many (of the choices), yesno, bands, date, or rows (of columns)
 * @param low lowest number allowed
 * @param high highest number allowed
 * @param quick whether it stands in the short form
 * @param columns the fields of a row
 */
record SheetField(
        String key,
        String label,
        String type,
        String unit,
        @Nullable Double low,
        @Nullable Double high,
        List<String> choices,
        boolean quick,
        @ArraySchema(schema = @Schema(implementation = SheetField.class)) List<SheetField> columns) {

    static SheetField text(String key, String label) {
        return new SheetField(key, label, "text", "", null, null, List.of(), false, List.of());
    }

    static SheetField number(String key, String label, String unit, double low, double high) {
        return new SheetField(key, label, "number", unit, low, high, List.of(), false, List.of());
    }

    static SheetField integer(String key, String label, String unit, double low, double high) {
        return new SheetField(key, label, "whole", unit, low, high, List.of(), false, List.of());
    }

    static SheetField choice(String key, String label, List<String> choices) {
        return new SheetField(key, label, "choice", "", null, null, choices, false, List.of());
    }

    static SheetField choiceList(String key, String label, List<String> choices) {
        return new SheetField(key, label, "many", "", null, null, choices, false, List.of());
    }

    static SheetField yesno(String key, String label) {
        return new SheetField(key, label, "yesno", "", null, null, List.of(), false, List.of());
    }

    static SheetField bands(String key, String label) {
        return new SheetField(key, label, "bands", "", null, null, List.of(), false, List.of());
    }

    static SheetField date(String key, String label) {
        return new SheetField(key, label, "date", "", null, null, List.of(), false, List.of());
    }

    static SheetField rows(String key, String label, SheetField... columns) {
        return new SheetField(key, label, "rows", "", null, null, List.of(), false, List.of(columns));
    }

    /** The same field in the short form too. */
    SheetField first() {
        return new SheetField(key, label, type, unit, low, high, choices, true, columns);
    }
}

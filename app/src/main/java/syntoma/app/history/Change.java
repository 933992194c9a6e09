package syntoma.app.history;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.TreeSet;
import org.springframework.lang.Nullable;

/**
 * One field that differs between two versions.
 *
 * @param field its path, such as {@code sheet.leads[0].lengthM}
 * @param was as it was; null when it was not there
 * @param now as it is; null when it is not there any more
 */
public record Change(String field, @Nullable String was, @Nullable String now) {

    /** All fields that differ, in the order of their names. */
    static List<Change> between(JsonNode was, JsonNode now) {
        List<Change> changes = new ArrayList<>();
        collect("", was, now, changes);
        return changes;
    }

    private static void collect(String path, JsonNode was, JsonNode now, List<Change> changes) {
        if (isSame(was, now)) {
            return;
        }
        if (was.isObject() && now.isObject()) {
            TreeSet<String> fields = new TreeSet<>();
            for (Iterator<String> names : List.of(was.fieldNames(), now.fieldNames())) {
                names.forEachRemaining(fields::add);
            }
            for (String field : fields) {
                collect(path.isEmpty() ? field : path + "." + field, was.path(field), now.path(field), changes);
            }
        } else if (was.isArray()
                && now.isArray()
                && (was.path(0).isContainerNode() || now.path(0).isContainerNode())) {
            for (int i = 0; i < Math.max(was.size(), now.size()); i++) {
                collect(path + "[" + i + "]", was.path(i), now.path(i), changes);
            }
        } else {
            changes.add(new Change(path, text(was), text(now)));
        }
    }

    /** A number is the same however it was written: 2 and 2.0. */
    private static boolean isSame(JsonNode was, JsonNode now) {
        if (was.isNumber() && now.isNumber()) {
            return was.decimalValue().compareTo(now.decimalValue()) == 0;
        }
        return isAbsent(was) ? isAbsent(now) : was.equals(now);
    }

    private static boolean isAbsent(JsonNode node) {
        return node.isNull() || node.isMissingNode();
    }

    private static String text(JsonNode node) {
        if (isAbsent(node)) {
            return null;
        }
        if (node.isNumber()) {
            return node.decimalValue().stripTrailingZeros().toPlainString();
        }
        return node.isValueNode() ? node.asText() : node.toString();
    }
}

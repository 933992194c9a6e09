package syntoma.app.measurement;

import jakarta.persistence.TypedQuery;
import java.util.HashMap;
import java.util.Map;

/** The conditions of a query over the log, each with its parameter. */
final class Criteria {
    private final StringBuilder where = new StringBuilder(" where true");
    private final Map<String, Object> parameters = new HashMap<>();

    /** @param condition with its parameter as {@code :name} */
    Criteria and(String condition, String name, Object value) {
        where.append(" and ").append(condition);
        parameters.put(name, value);
        return this;
    }

    String condition() {
        return where.toString();
    }

    void bind(TypedQuery<?> query) {
        parameters.forEach(query::setParameter);
    }
}

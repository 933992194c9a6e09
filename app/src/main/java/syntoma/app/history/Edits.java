package syntoma.app.history;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Versions of what a person edits, and what each of them was. */
@Service
@Transactional
public class Edits {
    private final EntityManager entities;
    private final ObjectMapper json;
    private final Clock clock;

    Edits(EntityManager entities, ObjectMapper json, Clock clock) {
        this.entities = entities;
        this.json = json;
        this.clock = clock;
    }

    /** What has versions. */
    public enum Kind {
        GEAR,
        CHAIN,
        NEED,
        RIG,
        MEASUREMENT,
        STAY,
        ROOF_PLAN,
        STAY_NOTE
    }

    /**
     * A version of something, and what changed with it.
     *
     * @param changes none for the first
     */
    public record VersionView(int version, OffsetDateTime at, List<Change> changes) {}

    /** All versions of one, the first first; none where it was never changed. */
    @Transactional(readOnly = true)
    public List<VersionView> history(Kind kind, long number) {
        List<VersionView> views = new ArrayList<>();
        JsonNode before = null;
        for (Edit edit : entities.createQuery(
                        "from Edit e where e.kind = :kind and e.number = :number order by e.version", Edit.class)
                .setParameter("kind", kind.name())
                .setParameter("number", number)
                .getResultList()) {
            JsonNode now = read(edit);
            views.add(new VersionView(edit.version, edit.at, before == null ? List.of() : Change.between(before, now)));
            before = now;
        }
        return views;
    }

    /** What one was in a version; empty where that is not known. */
    @Transactional(readOnly = true)
    public <T> Optional<T> was(Kind kind, long number, int version, TypeReference<T> type) {
        return content(kind, number, version).map(node -> json.convertValue(node, type));
    }

    /** The versions of all of a kind that were ever changed, by their numbers; all others have version 0. */
    @Transactional(readOnly = true)
    public Map<Long, Integer> versions(Kind kind) {
        return entities.createQuery(
                        "select e.number, max(e.version) from Edit e where e.kind = :kind group by e.number",
                        Object[].class)
                .setParameter("kind", kind.name())
                .getResultStream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (Integer) row[1]));
    }

    /** The version of one. */
    @Transactional(readOnly = true)
    public int version(Kind kind, long number) {
        return Optional.ofNullable(entities.createQuery(
                                "select max(e.version) from Edit e where e.kind = :kind and e.number = :number",
                                Integer.class)
                        .setParameter("kind", kind.name())
                        .setParameter("number", number)
                        .getSingleResult())
                .orElse(0);
    }

    /** Whether one is what it was in a version: nothing was changed since, or what was changed since was undone. */
    @Transactional(readOnly = true)
    public boolean stands(Kind kind, long number, int version) {
        int now = version(kind, number);
        return now == version || content(kind, number, now).equals(content(kind, number, version));
    }

    /**
     * Records a change, to be called in its transaction.
     *
     * @param what its name, for a person
     * @param seen the version that whoever changes it has looked at; null when that is not known
     * @throws ChangedMeanwhileException when that is not the version that stands
     */
    public void change(Kind kind, long number, String what, @Nullable Integer seen, Object before, Object after) {
        int stands = version(kind, number);
        JsonNode was = json.valueToTree(before);
        JsonNode now = json.valueToTree(after);
        if (seen != null && seen != stands) {
            JsonNode looked = content(kind, number, seen).orElse(was);
            throw new ChangedMeanwhileException(what, stands, Change.between(looked, was));
        }
        if (content(kind, number, stands).isEmpty()) {
            record(kind, number, stands, was);
        }
        record(kind, number, stands + 1, now);
    }

    private Optional<JsonNode> content(Kind kind, long number, int version) {
        return Optional.ofNullable(entities.find(Edit.class, new Edit.Key(kind.name(), number, version)))
                .map(this::read);
    }

    private JsonNode read(Edit edit) {
        try {
            return json.readTree(edit.content);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private void record(Kind kind, long number, int version, JsonNode content) {
        entities.persist(new Edit(kind.name(), number, version, OffsetDateTime.now(clock), content.toString()));
    }
}

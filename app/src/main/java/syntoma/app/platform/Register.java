package syntoma.app.platform;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.unit.Text;

/** All things of one kind that are known by their names; a name that is new is made by who uses it first. */
@Transactional
public abstract class Register<E extends NamedThing> {
    /** The most characters of a name. */
    public static final int LONGEST_NAME = 120;

    protected final EntityManager entities;
    private final Class<E> kind;
    private final String what;

    /** @param what the kind in words, such as campsite */
    protected Register(EntityManager entities, Class<E> kind, String what) {
        this.entities = entities;
        this.kind = kind;
        this.what = what;
    }

    /** One of a new name, not stored yet. */
    protected abstract E unstored(String name);

    /** The numbers of all names. */
    @Transactional(readOnly = true)
    public Map<String, Long> numbers() {
        Map<String, Long> numbers = new HashMap<>();
        things("").forEach(thing -> numbers.put(thing.name(), thing.id()));
        return numbers;
    }

    /** The names of all numbers. */
    @Transactional(readOnly = true)
    public Map<Long, String> names() {
        Map<Long, String> names = new HashMap<>();
        things("").forEach(thing -> names.put(thing.id(), thing.name()));
        return names;
    }

    /** All things of the kind. @param order the fields to sort by; empty for any order */
    protected List<E> things(String order) {
        String query = "from " + kind.getSimpleName() + " e" + (order.isEmpty() ? "" : " order by " + order);
        return entities.createQuery(query, kind).getResultList();
    }

    protected Optional<E> named(String name) {
        return entities.createQuery("from " + kind.getSimpleName() + " e where e.name = :name", kind)
                .setParameter("name", name)
                .getResultStream()
                .findFirst();
    }

    protected Optional<E> numbered(@Nullable Long number) {
        return Optional.ofNullable(number == null ? null : entities.find(kind, number));
    }

    /**
     * The thing of a name.
     *
     * @throws NotFound when there is none
     */
    protected E required(String name) {
        return named(name).orElseThrow(() -> new NotFound("no " + what + " is named " + Text.quoted(name)));
    }

    /** The number of a name, where there is one. */
    @Transactional(readOnly = true)
    public Optional<Long> find(String name) {
        return named(name).map(NamedThing::id);
    }

    /** The name of a number; empty for null. */
    @Transactional(readOnly = true)
    public Optional<String> name(@Nullable Long number) {
        return numbered(number).map(NamedThing::name);
    }

    /** The number of a name, made when it is new. */
    public Long number(String name) {
        return find(name).orElseGet(() -> store(unstored(name)));
    }

    protected Long store(E thing) {
        entities.persist(thing);
        entities.flush();
        return thing.id();
    }

    /** Takes one away; nothing must refer to it. */
    public void remove(Long number) {
        numbered(number).ifPresent(entities::remove);
    }

    /**
     * A name as it is given from outside.
     *
     * @throws InvalidInput naming the field when it is no name
     */
    public static String name(String field, String text) {
        return InvalidInput.naming(field, () -> Text.name(field, text, LONGEST_NAME));
    }
}

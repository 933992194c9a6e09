package syntoma.app.platform;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.transaction.annotation.Transactional;
import syntoma.core.unit.Text;

/**
 * All things of one kind that are known by their names; a name that is new is made by who uses it first. A thing is found by
 * names it had before too, and by those of others that were merged into it.
 */
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

    /** The numbers of all names, those of before too. */
    @Transactional(readOnly = true)
    public Map<String, Long> numbers() {
        Map<Long, E> all = everything();
        Map<String, Long> numbers = new HashMap<>();
        former().forEach(f -> numbers.put(f.name, current(f.thingId, all)));
        all.values().forEach(thing -> numbers.put(thing.name(), current(thing.id(), all)));
        return numbers;
    }

    /** The names of all numbers; one that was merged has the name of the other. */
    @Transactional(readOnly = true)
    public Map<Long, String> names() {
        Map<Long, E> all = everything();
        return all.keySet().stream().collect(Collectors.toMap(id -> id, id -> all.get(current(id, all))
                .name()));
    }

    /** For all names that are not told apart by themselves: the name that their measurements are told apart by. */
    @Transactional(readOnly = true)
    public Map<String, String> firstNames() {
        List<FormerName> former = former();
        Map<Long, E> all = everything();
        Map<Long, String> first =
                former.stream().filter(f -> f.first).collect(Collectors.toMap(f -> f.thingId, f -> f.name));
        Map<String, String> names = new HashMap<>();
        former.forEach(f -> names.put(f.name, first(current(f.thingId, all), all, first)));
        all.values().stream()
                .filter(thing -> thing.mergedInto() != null || first.containsKey(thing.id()))
                .forEach(thing -> names.put(thing.name(), first(current(thing.id(), all), all, first)));
        return names;
    }

    private String first(Long id, Map<Long, E> all, Map<Long, String> first) {
        return first.getOrDefault(id, all.get(id).name());
    }

    private Long current(Long id, Map<Long, E> all) {
        Long standing = id;
        while (all.get(standing).mergedInto() != null) {
            standing = all.get(standing).mergedInto();
        }
        return standing;
    }

    private List<FormerName> former() {
        return entities.createQuery("from FormerName f where f.kind = :kind", FormerName.class)
                .setParameter("kind", what)
                .getResultList();
    }

    private Map<Long, E> everything() {
        return entities.createQuery("from " + kind.getSimpleName() + " e", kind)
                .getResultStream()
                .collect(Collectors.toMap(NamedThing::id, e -> e));
    }

    /** All things of the kind that stand for themselves. @param order the fields to sort by */
    protected List<E> things(String order) {
        return entities.createQuery(
                        "from " + kind.getSimpleName() + " e where e.mergedInto is null order by " + order, kind)
                .getResultList();
    }

    protected Optional<E> findByName(String name) {
        return entities.createQuery("from " + kind.getSimpleName() + " e where e.name = :name", kind)
                .setParameter("name", name)
                .getResultStream()
                .findFirst()
                .or(() -> Optional.ofNullable(entities.find(FormerName.class, new FormerName.Key(what, name)))
                        .map(former -> entities.find(kind, former.thingId)))
                .map(this::current);
    }

    private E current(E thing) {
        E standing = thing;
        while (standing.mergedInto() != null) {
            standing = entities.find(kind, standing.mergedInto());
        }
        return standing;
    }

    /** The thing of a number, or the one that it was merged into. */
    protected Optional<E> numbered(@Nullable Long number) {
        return Optional.ofNullable(number == null ? null : entities.find(kind, number))
                .map(this::current);
    }

    /**
     * The thing of a name.
     *
     * @throws NotFoundException when there is none
     */
    protected E require(String name) {
        return findByName(name)
                .orElseThrow(() -> new NotFoundException("no " + what + " is named " + Text.quote(name)));
    }

    /**
     * The thing of a number.
     *
     * @throws NotFoundException when there is none
     */
    protected E require(long number) {
        return numbered(number).orElseThrow(() -> new NotFoundException("no " + what + " has the number " + number));
    }

    /** The number of a name, where there is one. */
    @Transactional(readOnly = true)
    public Optional<Long> find(String name) {
        return findByName(name).map(NamedThing::id);
    }

    /** The name of a number; empty for null. */
    @Transactional(readOnly = true)
    public Optional<String> name(@Nullable Long number) {
        return numbered(number).map(NamedThing::name);
    }

    /**
     * The number of the thing that stands for one.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public Long current(long number) {
        return require(number).id();
    }

    /** The name that a number has by itself, also where another stands for it. */
    @Transactional(readOnly = true)
    public String own(long number) {
        E thing = entities.find(kind, number);
        return thing == null ? "" : thing.name();
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

    /** Takes one away with the names it had; nothing else must refer to it. */
    public void remove(Long number) {
        entities.createQuery("delete from FormerName f where f.kind = :kind and f.thingId = :thing")
                .setParameter("kind", what)
                .setParameter("thing", number)
                .executeUpdate();
        Optional.ofNullable(entities.find(kind, number)).ifPresent(entities::remove);
    }

    /**
     * Gives a thing another name; all that refers to it stays its own.
     *
     * @throws ConflictException when another has the name, or had it
     */
    public void rename(long id, String wanted) {
        String name = name("name", wanted);
        E thing = require(id);
        String before = thing.name();
        if (before.equals(name)) {
            return;
        }
        checkFree(thing, name);
        FormerName back = entities.find(FormerName.class, new FormerName.Key(what, name));
        if (back != null) {
            entities.remove(back);
        }
        boolean hasFirst = former().stream().anyMatch(f -> f.first && f.thingId.equals(thing.id()) && f != back);
        boolean backToFirst = back != null && back.first;
        entities.persist(new FormerName(new FormerName.Key(what, before), thing.id(), !hasFirst && !backToFirst));
        thing.rename(name);
        entities.flush();
    }

    /**
     * Makes a name lead to a thing that has another.
     *
     * @throws ConflictException when another thing has the name, or had it
     */
    public void alsoNamed(long id, String wanted) {
        String name = name("name", wanted);
        E thing = require(id);
        checkFree(thing, name);
        if (findByName(name).isEmpty()) {
            entities.persist(new FormerName(new FormerName.Key(what, name), thing.id(), false));
            entities.flush();
        }
    }

    /** Makes a name lead nowhere again, where it is not the one that something is told apart by. */
    public void forget(String name) {
        FormerName former = entities.find(FormerName.class, new FormerName.Key(what, name));
        if (former != null && !former.first) {
            entities.remove(former);
            entities.flush();
        }
    }

    private void checkFree(E thing, String name) {
        findByName(name).filter(other -> !other.id().equals(thing.id())).ifPresent(other -> {
            String whose =
                    other.name().equals(name) ? "which another " + what + " has" : "which leads to " + other.name();
            throw new ConflictException("name", "name is " + Text.quote(name) + ", " + whose);
        });
    }

    /**
     * Whether somebody has said what a thing is to others: it was merged into one, one into it, or another name leads to it. Such a
     * thing stays, also with nothing measured: what was said once is not asked again.
     */
    @Transactional(readOnly = true)
    public boolean isTiedToOthers(long id) {
        E thing = entities.find(kind, id);
        return thing != null
                && (thing.mergedInto() != null
                        || former().stream().anyMatch(f -> f.thingId.equals(id))
                        || everything().values().stream()
                                .anyMatch(other -> Long.valueOf(id).equals(other.mergedInto())));
    }

    /** Lets another thing stand for one. */
    public void merge(long from, long into) {
        require(from).merge(require(into).id());
        entities.flush();
    }

    /**
     * Undoes the merging of a thing into another.
     *
     * @throws ConflictException when it was not merged into that other, or the other was merged on since
     */
    public void part(long from, long into) {
        E thing = entities.find(kind, from);
        E other = entities.find(kind, into);
        if (thing == null || other == null || !Long.valueOf(into).equals(thing.mergedInto())) {
            throw new ConflictException("this is not merged any more as it was; nothing was changed");
        }
        if (other.mergedInto() != null) {
            throw new ConflictException(other.name() + " was merged into another since; undo that first");
        }
        thing.merge(null);
        entities.flush();
    }

    /**
     * A name as it is given from outside.
     *
     * @throws InvalidInputException naming the field when it is no name
     */
    public static String name(String field, String text) {
        return InvalidInputException.naming(field, () -> Text.name(field, text, LONGEST_NAME));
    }
}

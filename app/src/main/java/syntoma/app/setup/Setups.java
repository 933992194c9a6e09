package syntoma.app.setup;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.NotFound;
import syntoma.app.platform.Register;
import syntoma.core.unit.Text;

/** Setups by their names. */
@Service
@Transactional
public class Setups extends Register<Setup> {
    Setups(EntityManager entities) {
        super(entities, Setup.class, "setup");
    }

    /** By its name, or by one that it had before. */
    @Override
    protected Optional<Setup> named(String name) {
        return super.named(name).or(() -> Optional.ofNullable(entities.find(FormerName.class, name))
                .flatMap(former -> numbered(former.setupId)));
    }

    /** For all names of setups that were renamed, now and before, the name that their measurements are told apart by. */
    @Transactional(readOnly = true)
    public Map<String, String> firstNames() {
        List<FormerName> former =
                entities.createQuery("from FormerName f", FormerName.class).getResultList();
        Map<Long, String> first =
                former.stream().filter(f -> f.first).collect(Collectors.toMap(f -> f.setupId, f -> f.name));
        Map<Long, String> now = former.isEmpty() ? Map.of() : names();
        Map<String, String> names = new HashMap<>();
        former.forEach(f -> names.put(f.name, first.get(f.setupId)));
        first.forEach((setup, name) -> names.put(now.get(setup), name));
        return names;
    }

    /** The next in turn takes the next pennant. */
    @Override
    protected Setup unstored(String name) {
        int pennant = entities.createQuery("select count(s) from Setup s", Long.class)
                .getSingleResult()
                .intValue();
        return new Setup(name, pennant);
    }

    /** All setups in the order of their making. */
    @Transactional(readOnly = true)
    public List<SetupName> all() {
        return things("e.id").stream().map(Setup::view).toList();
    }

    /**
     * A setup by name.
     *
     * @throws NotFound when there is none
     */
    @Transactional(readOnly = true)
    public SetupName of(String name) {
        return required(name).view();
    }

    /**
     * A setup by number.
     *
     * @throws NotFound when there is none
     */
    @Transactional(readOnly = true)
    public SetupName of(long id) {
        return numbered(id).map(Setup::view).orElseThrow(() -> new NotFound("no setup has the number " + id));
    }

    /** The setup of a number; null for null. */
    @Nullable
    @Transactional(readOnly = true)
    public SetupName ofNullable(@Nullable Long id) {
        return numbered(id).map(Setup::view).orElse(null);
    }

    /**
     * Makes a setup of a new name.
     *
     * @throws Conflict when the name is taken
     */
    public SetupName add(String wanted) {
        String name = name("name", wanted);
        if (find(name).isPresent()) {
            throw new Conflict("name", "name is " + Text.quoted(name) + ", which another setup has");
        }
        return of(store(unstored(name)));
    }

    /**
     * Gives a setup another name; its measurements, chains and results stay its own.
     *
     * @throws Conflict when another setup has the name, or had it
     */
    public SetupName rename(long id, String wanted) {
        String name = name("name", wanted);
        Setup setup = numbered(id).orElseThrow(() -> new NotFound("no setup has the number " + id));
        String before = setup.name();
        if (before.equals(name)) {
            return setup.view();
        }
        named(name).filter(other -> !other.id().equals(id)).ifPresent(other -> {
            String whose =
                    other.name().equals(name) ? "which another setup has" : "which " + other.name() + " had before";
            throw new Conflict("name", "name is " + Text.quoted(name) + ", " + whose);
        });
        if (entities.find(FormerName.class, before) == null) {
            boolean first =
                    entities.createQuery("select count(f) from FormerName f where f.setupId = :setup", Long.class)
                                    .setParameter("setup", id)
                                    .getSingleResult()
                            == 0;
            entities.persist(new FormerName(before, id, first));
        }
        setup.renamed(name);
        entities.flush();
        return setup.view();
    }

    /** Offers a setup no more, or again. */
    public SetupName retire(long id, boolean retired) {
        Setup setup = numbered(id).orElseThrow(() -> new NotFound("no setup has the number " + id));
        setup.retired = retired;
        entities.flush();
        return setup.view();
    }

    /** Takes a setup away with the names it had; nothing else must refer to it. */
    void forget(long id) {
        entities.createQuery("delete from FormerName f where f.setupId = :setup")
                .setParameter("setup", id)
                .executeUpdate();
        remove(id);
        entities.flush();
    }
}

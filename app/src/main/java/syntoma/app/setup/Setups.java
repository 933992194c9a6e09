package syntoma.app.setup;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;
import syntoma.core.unit.Text;

/** Setups by their names. */
@Service
@Transactional
public class Setups extends Register<Setup> {
    Setups(EntityManager entities) {
        super(entities, Setup.class, "setup");
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
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public SetupName of(String name) {
        return require(name).view();
    }

    /**
     * A setup by number.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public SetupName of(long id) {
        return require(id).view();
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
     * @throws ConflictException when the name is taken
     */
    public SetupName add(String wanted) {
        String name = name("name", wanted);
        if (find(name).isPresent()) {
            throw new ConflictException("name", "name is " + Text.quote(name) + ", which another setup has");
        }
        return of(store(unstored(name)));
    }

    /** Retires a setup, or restores it. */
    public SetupName retire(long id, boolean retired) {
        Setup setup = require(id);
        setup.retired = retired;
        entities.flush();
        return setup.view();
    }
}

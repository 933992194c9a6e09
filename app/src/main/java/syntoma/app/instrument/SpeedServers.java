package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Conflict;
import syntoma.app.platform.InvalidInput;

/** Which speed server runs use. */
@Service
@Transactional
public class SpeedServers {
    private static final int LONGEST_KEY = 200;

    private final EntityManager entities;

    SpeedServers(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * The speed server as it is set; the key is never told.
     *
     * @param address null where none is set
     */
    public record ServerView(@Nullable String address, boolean hasSecret) {}

    /**
     * What to set.
     *
     * @param address empty for none
     * @param key left out to keep the one there is, empty to remove it
     */
    public record ServerRequest(@Nullable String address, @Nullable String key) {}

    record Reached(URI address, String key) {}

    @Transactional(readOnly = true)
    public ServerView view() {
        return found().map(s -> new ServerView(s.address, s.secret != null)).orElse(new ServerView(null, false));
    }

    @Transactional(readOnly = true)
    public Optional<Reached> reached() {
        return found().map(s -> new Reached(URI.create(s.address), s.secret == null ? "" : s.secret));
    }

    /**
     * The one that is set.
     *
     * @throws Conflict when none is
     */
    @Transactional(readOnly = true)
    public Reached one() {
        return reached().orElseThrow(() -> new Conflict("no speed server is set; set one first, under Measure"));
    }

    /**
     * Sets it.
     *
     * @throws InvalidInput when the address is none that is allowed, or the key is no word
     */
    public ServerView set(ServerRequest asked) {
        String text = asked.address() == null ? "" : asked.address().strip();
        SpeedServerSetting setting = found().orElse(null);
        if (text.isEmpty()) {
            if (setting != null) {
                entities.remove(setting);
            }
            return new ServerView(null, false);
        }
        String address = Address.http("address", text).toString();
        String key = key(asked.key());
        if (setting == null) {
            setting = new SpeedServerSetting(address);
            entities.persist(setting);
        }
        if (asked.key() != null) {
            setting.secret = key.isEmpty() ? null : key;
        }
        setting.address = address;
        return new ServerView(address, setting.secret != null);
    }

    private static String key(@Nullable String text) {
        String key = text == null ? "" : text.strip();
        if (key.length() > LONGEST_KEY || key.chars().anyMatch(c -> c <= ' ' || c >= 127)) {
            throw new InvalidInput(
                    "key", "key has to be at most " + LONGEST_KEY + " letters, digits and signs without a space");
        }
        return key;
    }

    private Optional<SpeedServerSetting> found() {
        return Optional.ofNullable(entities.find(SpeedServerSetting.class, SpeedServerSetting.ONLY));
    }
}

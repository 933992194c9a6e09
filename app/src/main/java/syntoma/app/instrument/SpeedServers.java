package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.store.SecretBox;

/** Which speed server runs use. */
@Service
@Transactional
public class SpeedServers {
    private static final int LONGEST_KEY = 200;

    private final EntityManager entities;
    private final SecretBox secrets;

    SpeedServers(EntityManager entities, SecretBox secrets) {
        this.entities = entities;
        this.secrets = secrets;
    }

    /** A key that an earlier version has stored as it is. */
    @EventListener(ApplicationStartedEvent.class)
    public void sealKey() {
        find().filter(s -> s.secret != null && !SecretBox.isSealed(s.secret))
                .ifPresent(s -> s.secret = secrets.seal(s.secret));
    }

    /**
     * The speed server as it is set; the key is never told.
     *
     * @param address null where none is set
     * @param publicAllowed whether a person has said that an address on the internet is meant
     */
    public record ServerView(@Nullable String address, boolean hasSecret, boolean publicAllowed) {}

    private static final ServerView NONE = new ServerView(null, false, false);

    /**
     * What to set. A key belongs to one address: another one starts without it.
     *
     * @param address empty for none
     * @param key left out to keep the one there is, empty to remove it
     * @param publicAllowed whether an address on the internet is meant
     */
    public record ServerRequest(@Nullable String address, @Nullable String key, @Nullable Boolean publicAllowed) {}

    record ReachedServer(URI address, String key, CallPermission permission) {}

    @Transactional(readOnly = true)
    public ServerView view() {
        return find().map(SpeedServers::view).orElse(NONE);
    }

    @Transactional(readOnly = true)
    public Optional<ReachedServer> connection() {
        return find().map(s -> new ReachedServer(URI.create(s.address), secrets.open(s.secret), s.permission()));
    }

    /**
     * The one that is set.
     *
     * @throws ConflictException when none is
     */
    @Transactional(readOnly = true)
    public ReachedServer one() {
        return connection()
                .orElseThrow(() -> new ConflictException("no speed server is set; set one first, under Measure"));
    }

    /**
     * Sets it.
     *
     * @param here whether it is set from this machine itself
     * @throws InvalidInputException when the address is none that is allowed, or the key is no word
     * @throws syntoma.app.platform.ConfirmationRequiredException when the address is on the internet and that was not said
     */
    public ServerView set(ServerRequest asked, boolean here) {
        String text = asked.address() == null ? "" : asked.address().strip();
        SpeedServerSetting setting = find().orElse(null);
        if (text.isEmpty()) {
            if (setting != null) {
                entities.remove(setting);
            }
            return NONE;
        }
        URI address = Address.http("address", text);
        String key = key(asked.key());
        CallPermission permission = new CallPermission(here, Boolean.TRUE.equals(asked.publicAllowed()));
        boolean same = setting != null && setting.address.equals(address.toString());
        if (!same) {
            permission.requireSettable("address", address.getHost());
        }
        if (setting == null) {
            setting = new SpeedServerSetting(address.toString());
            entities.persist(setting);
        }
        if (asked.key() != null || !same) {
            setting.secret = secrets.seal(key);
        }
        setting.address = address.toString();
        setting.setHere = same ? setting.setHere || here : here;
        setting.publicAllowed =
                same ? setting.publicAllowed || permission.isPublicAllowed() : permission.isPublicAllowed();
        return view(setting);
    }

    private static ServerView view(SpeedServerSetting setting) {
        return new ServerView(setting.address, setting.secret != null, setting.publicAllowed);
    }

    private static String key(@Nullable String text) {
        String key = text == null ? "" : text.strip();
        if (key.length() > LONGEST_KEY || key.chars().anyMatch(c -> c <= ' ' || c >= 127)) {
            throw new InvalidInputException(
                    "key", "key has to be at most " + LONGEST_KEY + " letters, digits and signs without a space");
        }
        return key;
    }

    private Optional<SpeedServerSetting> find() {
        return Optional.ofNullable(entities.find(SpeedServerSetting.class, SpeedServerSetting.ONLY));
    }
}

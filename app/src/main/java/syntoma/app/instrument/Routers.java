package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.CompleteCollections;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Json;
import syntoma.app.store.SecretBox;
import syntoma.core.reply.Mapping;
import syntoma.core.unit.Text;

/** Which router is watched, and how it is asked. */
@Service
@Transactional
public class Routers {
    static final String HTTP = "http-json";
    static final String AT = "at-tcp";
    private static final int LONGEST_SECRET = 400;
    private static final int LONGEST_PATH = 400;

    private final EntityManager entities;
    private final Json json;
    private final ApplicationEventPublisher events;
    private final SecretBox secrets;

    Routers(EntityManager entities, Json json, ApplicationEventPublisher events, SecretBox secrets) {
        this.entities = entities;
        this.json = json;
        this.events = events;
        this.secrets = secrets;
    }

    /** Secrets that an earlier version has stored as they are. */
    @EventListener(ApplicationStartedEvent.class)
    public void sealSecrets() {
        find().filter(r -> r.password != null || r.token != null).ifPresent(r -> {
            r.password = SecretBox.isSealed(r.password) ? r.password : secrets.seal(r.password);
            r.token = SecretBox.isSealed(r.token) ? r.token : secrets.seal(r.token);
        });
    }

    /**
     * The router as it is set; secrets are never told.
     *
     * @param kind null where none is set
     * @param publicAllowed whether a person has said that an address on the internet is meant
     */
    public record RouterView(
            @Nullable String kind,
            @Nullable String address,
            @Nullable String path,
            @Nullable String user,
            boolean hasSecret,
            Map<String, String> mapping,
            boolean publicAllowed) {}

    private static final RouterView NONE = new RouterView(null, null, null, null, false, Map.of(), false);

    /**
     * What to set. Secrets and a mapping belong to one address: another one starts without them.
     *
     * @param kind http-json or at-tcp; empty for no router
     * @param address http://host:port, or host:port for AT
     * @param path with its query, of an http-json router
     * @param password left out to keep the one there is, empty to remove it
     * @param token the same, as a bearer
     * @param mapping which value of the answer is which figure, by JSON pointers; left out to leave it as it is
     * @param publicAllowed whether an address on the internet is meant
     */
    public record RouterRequest(
            @Nullable String kind,
            @Nullable String address,
            @Nullable String path,
            @Nullable String user,
            @Nullable String password,
            @Nullable String token,
            @Nullable Map<String, String> mapping,
            @Nullable Boolean publicAllowed) {}

    /** How it is asked. */
    record ReachedRouter(
            String kind,
            String address,
            String path,
            String user,
            String password,
            String token,
            Mapping mapping,
            CallPermission permission) {

        /** The machine that is asked. */
        String host() {
            return URI.create(kind.equals(HTTP) ? address : "tcp://" + address).getHost();
        }

        /** The whole address of an http-json router. */
        URI uri() {
            return URI.create(address + path);
        }
    }

    @Transactional(readOnly = true)
    public RouterView view() {
        return find().map(this::view).orElse(NONE);
    }

    @Transactional(readOnly = true)
    public Optional<ReachedRouter> connection() {
        return find().map(r -> new ReachedRouter(
                r.kind,
                r.address,
                r.path,
                orEmpty(r.username),
                secrets.open(r.password),
                secrets.open(r.token),
                new Mapping(mapping(r)),
                r.permission()));
    }

    /**
     * Sets it.
     *
     * @param here whether it is set from this machine itself
     * @throws InvalidInputException naming the field that is wrong
     * @throws syntoma.app.platform.ConfirmationRequiredException when the address is on the internet and that was not said
     */
    public RouterView set(RouterRequest asked, boolean here) {
        Router router = find().orElse(null);
        String kind = orEmpty(asked.kind());
        if (kind.isEmpty()) {
            if (router != null) {
                entities.remove(router);
                events.publishEvent(new RouterSet());
            }
            return NONE;
        }
        if (!kind.equals(HTTP) && !kind.equals(AT)) {
            throw new InvalidInputException("kind", "kind is " + Text.quote(kind) + "; allowed is " + HTTP + ", " + AT);
        }
        String address = kind.equals(HTTP)
                ? Address.http("address", orEmpty(asked.address())).toString()
                : Address.tcp("address", orEmpty(asked.address()));
        String path = kind.equals(HTTP) ? Address.path("path", orEmpty(asked.path()), LONGEST_PATH) : "";
        String user = secret("user", orEmpty(asked.user()));
        String password = asked.password() == null ? null : secret("password", asked.password());
        String token = asked.token() == null ? null : token(asked.token());
        Map<String, String> wanted = CompleteCollections.map("mapping", asked.mapping());
        Mapping mapping = InvalidInputException.naming("mapping", () -> new Mapping(wanted));
        CallPermission permission = new CallPermission(here, Boolean.TRUE.equals(asked.publicAllowed()));
        boolean same = router != null && router.kind.equals(kind) && router.address.equals(address);
        if (!same) {
            permission.requireSettable(
                    "address", new ReachedRouter(kind, address, path, "", "", "", mapping, permission).host());
            router = startAnew(router);
        }
        router.kind = kind;
        router.address = address;
        router.setHere = same ? router.setHere || here : here;
        router.publicAllowed =
                same ? router.publicAllowed || permission.isPublicAllowed() : permission.isPublicAllowed();
        router.path = path;
        router.username = user.isEmpty() ? null : user;
        router.password = password == null ? router.password : secrets.seal(password);
        router.token = token == null ? router.token : secrets.seal(token);
        router.mapping = asked.mapping() == null ? router.mapping : json.write(mapping.sorted());
        entities.persist(router);
        events.publishEvent(new RouterSet());
        return view(router);
    }

    /** What was known of another address is not known of this one. */
    private static Router startAnew(@Nullable Router before) {
        if (before == null) {
            return Router.none();
        }
        before.password = null;
        before.token = null;
        before.mapping = Router.NO_MAPPING;
        return before;
    }

    private RouterView view(Router r) {
        return new RouterView(
                r.kind,
                r.address,
                r.path,
                r.username,
                r.password != null || r.token != null,
                mapping(r),
                r.publicAllowed);
    }

    private Map<String, String> mapping(Router router) {
        Map<String, String> pointers = new TreeMap<>();
        json.fields(router.mapping).forEach((key, pointer) -> pointers.put(key, pointer.toString()));
        return pointers;
    }

    /** A word that stands in a header as it is. */
    private static String token(String text) {
        if (text.chars().anyMatch(c -> c <= ' ' || c >= 127)) {
            throw new InvalidInputException(
                    "token",
                    "token has to be letters, digits and signs of ASCII, without a space; no header holds others");
        }
        return secret("token", text);
    }

    private static String secret(String field, String text) {
        if (text.length() > LONGEST_SECRET || text.chars().anyMatch(c -> c < ' ' || c == 127)) {
            throw new InvalidInputException(
                    field, field + " has to be at most " + LONGEST_SECRET + " characters that can be seen");
        }
        return text;
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    private Optional<Router> find() {
        return Optional.ofNullable(entities.find(Router.class, Router.ONLY));
    }
}

package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.Json;
import syntoma.app.platform.Whole;
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

    Routers(EntityManager entities, Json json, ApplicationEventPublisher events) {
        this.entities = entities;
        this.json = json;
        this.events = events;
    }

    /**
     * The router as it is set; secrets are never told.
     *
     * @param kind null where none is set
     */
    public record RouterView(
            @Nullable String kind,
            @Nullable String address,
            @Nullable String path,
            @Nullable String user,
            boolean hasSecret,
            Map<String, String> mapping) {}

    /**
     * What to set.
     *
     * @param kind http-json or at-tcp; empty for no router
     * @param address http://host:port, or host:port for AT
     * @param path with its query, of an http-json router
     * @param password left out to keep the one there is, empty to remove it
     * @param token the same, as a bearer
     * @param mapping which value of the answer is which figure, by JSON pointers; left out to keep it
     */
    public record RouterRequest(
            @Nullable String kind,
            @Nullable String address,
            @Nullable String path,
            @Nullable String user,
            @Nullable String password,
            @Nullable String token,
            @Nullable Map<String, String> mapping) {}

    /** How it is asked. */
    record Reached(
            String kind, String address, String path, String user, String password, String token, Mapping mapping) {

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
        return found().map(this::view).orElse(new RouterView(null, null, null, null, false, Map.of()));
    }

    @Transactional(readOnly = true)
    public Optional<Reached> reached() {
        return found().map(r -> new Reached(
                r.kind,
                r.address,
                r.path,
                orEmpty(r.username),
                orEmpty(r.password),
                orEmpty(r.token),
                new Mapping(mapping(r))));
    }

    /**
     * Sets it.
     *
     * @throws InvalidInput naming the field that is wrong
     */
    public RouterView set(RouterRequest asked) {
        Router router = found().orElse(null);
        String kind = orEmpty(asked.kind());
        if (kind.isEmpty()) {
            if (router != null) {
                entities.remove(router);
                events.publishEvent(new RouterSet());
            }
            return new RouterView(null, null, null, null, false, Map.of());
        }
        if (!kind.equals(HTTP) && !kind.equals(AT)) {
            throw new InvalidInput("kind", "kind is " + Text.quoted(kind) + "; allowed is " + HTTP + ", " + AT);
        }
        String address = kind.equals(HTTP)
                ? Address.http("address", orEmpty(asked.address())).toString()
                : Address.tcp("address", orEmpty(asked.address()));
        String path = kind.equals(HTTP) ? Address.path("path", orEmpty(asked.path()), LONGEST_PATH) : "";
        String user = secret("user", orEmpty(asked.user()));
        String password = asked.password() == null ? null : secret("password", asked.password());
        String token = asked.token() == null ? null : secret("token", asked.token());
        Map<String, String> wanted = Whole.map("mapping", asked.mapping());
        Mapping mapping = InvalidInput.naming("mapping", () -> new Mapping(wanted));
        if (router == null) {
            router = Router.none();
        }
        router.kind = kind;
        router.address = address;
        router.path = path;
        router.username = user.isEmpty() ? null : user;
        router.password = password == null ? router.password : emptyToNull(password);
        router.token = token == null ? router.token : emptyToNull(token);
        router.mapping = asked.mapping() == null ? router.mapping : json.write(mapping.sorted());
        entities.persist(router);
        events.publishEvent(new RouterSet());
        return view(router);
    }

    private RouterView view(Router r) {
        return new RouterView(r.kind, r.address, r.path, r.username, r.password != null || r.token != null, mapping(r));
    }

    private Map<String, String> mapping(Router router) {
        Map<String, String> pointers = new TreeMap<>();
        json.fields(router.mapping).forEach((key, pointer) -> pointers.put(key, pointer.toString()));
        return pointers;
    }

    /** A word that goes into a header. */
    private static String secret(String field, String text) {
        if (text.length() > LONGEST_SECRET || text.chars().anyMatch(c -> c < ' ' || c == 127)) {
            throw new InvalidInput(
                    field, field + " has to be at most " + LONGEST_SECRET + " characters that can be seen");
        }
        return text;
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    @Nullable
    private static String emptyToNull(String text) {
        return text.isEmpty() ? null : text;
    }

    private Optional<Router> found() {
        return Optional.ofNullable(entities.find(Router.class, Router.ONLY));
    }
}

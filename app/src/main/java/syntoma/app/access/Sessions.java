package syntoma.app.access;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** Who has logged in. Kept in a file beside the pass phrase, so that a restart ends nobody's session. */
@Component
class Sessions {
    /** A device that was not used for so long logs in again. */
    static final Duration UNUSED = Duration.ofDays(90);

    /** When a session was used is noted to the minute. */
    private static final Duration NOTED = Duration.ofMinutes(1);

    static final String FILE = "sessions.json";
    private static final ObjectMapper JSON =
            JsonMapper.builder().addModule(new JavaTimeModule()).build();

    private final SecretFiles files;
    private final WallClock clock;
    private final Map<String, Session> byHash = new ConcurrentHashMap<>();

    Sessions(SecretFiles files, WallClock clock) {
        this.files = files;
        this.clock = clock;
        files.read(FILE).ifPresent(this::load);
    }

    private void load(String text) {
        try {
            for (Session session : JSON.readValue(text, Session[].class)) {
                byHash.put(session.hash(), session);
            }
        } catch (JsonProcessingException unreadable) {
            // everybody logs in again
            byHash.clear();
        }
    }

    /** Begins the session of a device; returns the word that the device keeps. */
    String begin(String device, String source) {
        return add(device, source, null, clock.now().plus(UNUSED));
    }

    /** Makes a link for a guest; returns the word in it. */
    String invite(String name, String page, Instant until) {
        return add(name, "", page, until);
    }

    private synchronized String add(String device, String source, @Nullable String page, Instant until) {
        String token = Secret.token();
        Instant now = clock.now();
        Session session =
                new Session(UUID.randomUUID().toString(), Secret.hash(token), device, source, page, now, now, until);
        byHash.put(session.hash(), session);
        keep();
        return token;
    }

    /** The session that a word belongs to, if it has not ended. */
    Optional<Session> of(@Nullable String token) {
        Session session = token == null ? null : byHash.get(Secret.hash(token));
        if (session == null || !clock.now().isBefore(session.until())) {
            return Optional.empty();
        }
        if (Duration.between(session.seen(), clock.now()).compareTo(NOTED) >= 0) {
            note(session);
        }
        return Optional.of(session);
    }

    private synchronized void note(Session session) {
        Instant now = clock.now();
        Instant until = session.isGuest() ? session.until() : now.plus(UNUSED);
        if (byHash.replace(session.hash(), session, session.seenAt(now, until))) {
            keep();
        }
    }

    /** All that have not ended, the one used last first. */
    List<Session> all() {
        return byHash.values().stream()
                .filter(s -> clock.now().isBefore(s.until()))
                .sorted(Comparator.comparing(Session::seen).reversed().thenComparing(Session::id))
                .toList();
    }

    /** Ends the sessions that are meant; returns whether there was one. */
    synchronized boolean end(Predicate<Session> meant) {
        boolean ended = byHash.values().removeIf(meant);
        if (ended) {
            keep();
        }
        return ended;
    }

    private void keep() {
        byHash.values().removeIf(s -> !clock.now().isBefore(s.until()));
        try {
            files.write(FILE, JSON.writeValueAsString(byHash.values()));
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}

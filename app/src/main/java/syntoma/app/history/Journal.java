package syntoma.app.history;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Text;

/** What was changed of the log, the latest first, each to be undone, now or later. */
@Service
@Transactional
public class Journal {
    private static final int LONGEST_SENTENCE = 1000;

    /** Details hold numbers and texts alone. */
    private static final ObjectMapper JSON = new ObjectMapper();

    private final EntityManager entities;
    private final Clock clock;
    private final ObjectProvider<Undoing> undoing;

    Journal(EntityManager entities, Clock clock, ObjectProvider<Undoing> undoing) {
        this.entities = entities;
        this.clock = clock;
        this.undoing = undoing;
    }

    /** The kinds of changes. */
    public enum Kind {
        DELETED,
        EDITED,
        IMPORTED,
        RENAMED,
        ALSO_NAMED,
        MERGED,
        MOVED,
        STAY_CHANGED
    }

    /**
     * A change.
     *
     * @param undoneAt null while it stands
     */
    public record EntryView(
            long id, String kind, OffsetDateTime at, String sentence, @Nullable OffsetDateTime undoneAt) {
        static EntryView of(JournalEntry e) {
            return new EntryView(e.id, e.kind.toLowerCase(Locale.ROOT).replace('_', '-'), e.at, e.sentence, e.undoneAt);
        }
    }

    /**
     * Writes a change down, to be called in its transaction.
     *
     * @param detail what undoing it needs
     * @return the number of the entry
     */
    public long write(Kind kind, String sentence, Object detail) {
        JournalEntry entry =
                new JournalEntry(kind.name(), OffsetDateTime.now(clock), shortened(sentence), write(detail));
        entities.persist(entry);
        entities.flush();
        return entry.id;
    }

    /** Says of an entry of this transaction what it came to. */
    public void complete(long id, String sentence, Object detail) {
        JournalEntry entry = entities.find(JournalEntry.class, id);
        entry.sentence = shortened(sentence);
        entry.detail = write(detail);
        entities.flush();
    }

    /** Takes an entry of this transaction back: nothing was changed. */
    public void withdraw(long id) {
        entities.remove(entities.getReference(JournalEntry.class, id));
        entities.flush();
    }

    private static String write(Object detail) {
        try {
            return JSON.writeValueAsString(detail);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** What undoing a change needs, as it was written down. */
    public static <T> T read(String detail, Class<T> type) {
        try {
            return JSON.readValue(detail, type);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static String shortened(String sentence) {
        return sentence.length() <= LONGEST_SENTENCE ? sentence : sentence.substring(0, LONGEST_SENTENCE - 1) + "…";
    }

    /** Where the journal stands: another than before, when what was logged earlier may have changed since. */
    public record Mark(long last, long entries, long undone) {}

    /** Where the journal stands now. */
    @Transactional(readOnly = true)
    public Mark mark() {
        return entities.createQuery(
                        "select new syntoma.app.history.Journal$Mark(coalesce(max(e.id), 0L), count(e),"
                                + " count(e.undoneAt)) from JournalEntry e",
                        Mark.class)
                .getSingleResult();
    }

    /** The latest changes, the latest first. */
    @Transactional(readOnly = true)
    public List<EntryView> latest(int count) {
        return entities.createQuery("from JournalEntry e order by e.id desc", JournalEntry.class)
                .setMaxResults(count)
                .getResultStream()
                .map(EntryView::of)
                .toList();
    }

    /**
     * Undoes a change.
     *
     * @throws NotFoundException when there is none of that number
     * @throws ConflictException when it is undone already, or something later is in its way
     */
    public EntryView undo(long id) {
        JournalEntry entry = entities.find(JournalEntry.class, id);
        if (entry == null) {
            throw new NotFoundException("no change has the number " + id);
        }
        if (entry.undoneAt != null) {
            throw new ConflictException("this is undone already: " + Text.shortened(entry.sentence));
        }
        Kind kind = Kind.valueOf(entry.kind);
        Map<Kind, Undoing> by = new EnumMap<>(Kind.class);
        undoing.forEach(one -> one.kinds().forEach(known -> by.put(known, one)));
        entry.undoneAt = OffsetDateTime.now(clock);
        by.get(kind).undo(id, kind, entry.detail);
        entities.flush();
        return EntryView.of(entry);
    }
}

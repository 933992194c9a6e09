package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.photo.Photos;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Text;

/**
 * The private page of each stay: a note and photos. They stand by campsite and moment and belong to the stay that covers it, or to the
 * nearest one there, so that none is lost when stays are corrected.
 */
@Service
@Transactional
public class StayPages {
    private static final int LONGEST_NOTE = 5_000;
    private static final int LONGEST_CAPTION = 200;
    private static final int MOST_PHOTOS = 60;

    private final EntityManager entities;
    private final Campsites campsites;
    private final Stays stays;
    private final Photos photos;
    private final Edits edits;
    private final Clock clock;

    StayPages(EntityManager entities, Campsites campsites, Stays stays, Photos photos, Edits edits, Clock clock) {
        this.entities = entities;
        this.campsites = campsites;
        this.stays = stays;
        this.photos = photos;
        this.edits = edits;
        this.clock = clock;
    }

    /** A photo: its number, size in pixels and what is written under it. */
    public record StayPhotoView(long id, int widthPx, int heightPx, @Nullable String caption) {
        private static StayPhotoView of(StayPhoto photo) {
            return new StayPhotoView(photo.id, photo.widthPx, photo.heightPx, photo.caption);
        }
    }

    /**
     * What is written and shown of a stay.
     *
     * @param note empty where nothing is written
     * @param version of the note
     */
    public record StayPageView(long stay, String note, int version, List<StayPhotoView> photos) {}

    /** What is written of a stay. */
    public record NoteRequest(@Nullable String note) {}

    /** What is written under a photo. */
    public record CaptionRequest(@Nullable String caption) {}

    /**
     * The page of a stay.
     *
     * @throws NotFoundException when there is no such stay
     */
    @Transactional(readOnly = true)
    public StayPageView of(long id) {
        Stay stay = require(id);
        Optional<StayNote> note = note(stay);
        return new StayPageView(
                stay.id,
                note.map(n -> n.text).orElse(""),
                note.map(n -> edits.version(Edits.Kind.STAY_NOTE, n.id)).orElse(0),
                photos(stay).stream().map(StayPhotoView::of).toList());
    }

    /** Notes by the numbers of their stays, those that say something. */
    @Transactional(readOnly = true)
    public Map<Long, String> notes() {
        Map<Long, String> notes = new HashMap<>();
        List<Stay> all = stays.all();
        entities.createQuery("from StayNote n", StayNote.class).getResultList().forEach(note -> {
            if (!note.text.isEmpty()) {
                owner(all, note.campsiteId, note.at).ifPresent(stay -> notes.put(stay.id, note.text));
            }
        });
        return notes;
    }

    /** How many photos each stay has, by its number. */
    @Transactional(readOnly = true)
    public Map<Long, Integer> photoCounts() {
        Map<Long, Integer> counts = new HashMap<>();
        List<Stay> all = stays.all();
        entities.createQuery("from StayPhoto p where p.removedAt is null", StayPhoto.class)
                .getResultList()
                .forEach(photo -> owner(all, photo.campsiteId, photo.at)
                        .ifPresent(stay -> counts.merge(stay.id, 1, Integer::sum)));
        return counts;
    }

    /**
     * Writes the note of a stay.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public StayPageView write(long id, NoteRequest asked, @Nullable Integer seen) {
        Stay stay = require(id);
        String text = Objects.requireNonNullElse(asked.note(), "").strip();
        if (text.length() > LONGEST_NOTE) {
            throw new InvalidInputException(
                    "note", "note has " + text.length() + " characters; allowed are up to " + LONGEST_NOTE);
        }
        InvalidInputException.naming("note", () -> Text.lines("note", text));
        StayNote note = note(stay).orElseGet(() -> {
            StayNote begun = new StayNote(stay.campsiteId, stay.anchorAt);
            entities.persist(begun);
            entities.flush();
            return begun;
        });
        String before = note.text;
        if (!before.equals(text)) {
            edits.change(
                    Edits.Kind.STAY_NOTE,
                    note.id,
                    "the note of " + campsites.name(stay.campsiteId).orElse("a stay"),
                    seen,
                    Map.of("note", before),
                    Map.of("note", text));
            note.text = text;
        }
        entities.flush();
        return of(id);
    }

    /**
     * Adds a photo; one that is there already is there once.
     *
     * @throws NotFoundException when there is no such stay
     */
    public StayPhotoView add(long id, Photos.StoredPicture kept) {
        Stay stay = require(id);
        List<StayPhoto> there = photos(stay);
        Optional<StayPhoto> same =
                there.stream().filter(p -> p.hash.equals(kept.hash())).findFirst();
        if (same.isPresent()) {
            return StayPhotoView.of(same.get());
        }
        if (there.size() >= MOST_PHOTOS) {
            throw new ConflictException("there are " + MOST_PHOTOS + " photos of this stay; delete one first");
        }
        StayPhoto photo = new StayPhoto(stay.campsiteId, stay.anchorAt, kept, OffsetDateTime.now(clock));
        entities.persist(photo);
        return StayPhotoView.of(photo);
    }

    /** Writes something under a photo. */
    public StayPhotoView caption(long id, long photo, CaptionRequest asked) {
        String text = Objects.requireNonNullElse(asked.caption(), "").strip();
        StayPhoto found = require(id, photo);
        found.caption = text.isEmpty()
                ? null
                : InvalidInputException.naming("caption", () -> Text.name("caption", text, LONGEST_CAPTION));
        return StayPhotoView.of(found);
    }

    /** A photo as a JPEG. */
    @Transactional(readOnly = true)
    public byte[] read(long id, long photo) {
        return photos.read(require(id, photo).hash);
    }

    /** Takes a photo away, or brings one back. */
    public void remove(long id, long photo, boolean removed) {
        require(id, photo).removedAt = removed ? OffsetDateTime.now(clock) : null;
    }

    private Stay require(long id) {
        return stays.find(id).orElseThrow(() -> new NotFoundException("no stay has the number " + id));
    }

    private StayPhoto require(long id, long photo) {
        Stay stay = require(id);
        return Optional.ofNullable(entities.find(StayPhoto.class, photo))
                .filter(p -> owner(stays.all(), p.campsiteId, p.at)
                        .filter(owner -> owner.id.equals(stay.id))
                        .isPresent())
                .orElseThrow(() -> new NotFoundException("no photo of this stay has the number " + photo));
    }

    private Optional<StayNote> note(Stay stay) {
        return owned(stay, "from StayNote n order by n.id", StayNote.class, n -> n.campsiteId, n -> n.at).stream()
                .findFirst();
    }

    private List<StayPhoto> photos(Stay stay) {
        return owned(
                stay,
                "from StayPhoto p where p.removedAt is null order by p.id",
                StayPhoto.class,
                p -> p.campsiteId,
                p -> p.at);
    }

    private <T> List<T> owned(
            Stay stay, String query, Class<T> type, Function<T, Long> campsite, Function<T, OffsetDateTime> at) {
        List<T> all = entities.createQuery(query, type).getResultList();
        if (all.isEmpty()) {
            return all;
        }
        List<Stay> every = stays.all();
        return all.stream()
                .filter(one -> owner(every, campsite.apply(one), at.apply(one))
                        .filter(owner -> owner.id.equals(stay.id))
                        .isPresent())
                .toList();
    }

    /** The stay there that covers a moment, or the nearest one there; campsites that were merged are one. */
    private Optional<Stay> owner(List<Stay> all, long campsite, OffsetDateTime at) {
        long standing = campsites.current(campsite);
        return all.stream()
                .filter(s -> s.campsiteId == standing)
                .min(Comparator.comparing((Stay s) -> distance(s, at)).thenComparing(s -> s.arrivedAt));
    }

    private static Duration distance(Stay stay, OffsetDateTime at) {
        if (stay.covers(at)) {
            return Duration.ZERO;
        }
        return at.isBefore(stay.arrivedAt) ? Duration.between(at, stay.arrivedAt) : Duration.between(stay.leftAt, at);
    }
}

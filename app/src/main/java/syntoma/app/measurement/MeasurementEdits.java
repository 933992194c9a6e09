package syntoma.app.measurement;

import com.fasterxml.jackson.core.type.TypeReference;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Moments;
import syntoma.app.campsite.Stays;
import syntoma.app.history.Edits;
import syntoma.app.history.Journal;
import syntoma.app.history.Undoing;
import syntoma.app.need.Carriers;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.setup.Setups;
import syntoma.core.reading.Figure;

/** Measurements as they are corrected: what each was before stays known, and every correction can be undone. */
@Service
@Transactional
class MeasurementEdits implements Undoing {
    private static final TypeReference<Map<String, String>> TYPED = new TypeReference<>() {};

    private final EntityManager entities;
    private final MeasurementForm form;
    private final MeasurementLog log;
    private final LogNames names;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final Stays stays;
    private final KnownTrials trials;
    private final Edits edits;
    private final Journal journal;

    MeasurementEdits(
            EntityManager entities,
            MeasurementForm form,
            MeasurementLog log,
            LogNames names,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            Stays stays,
            KnownTrials trials,
            Edits edits,
            Journal journal) {
        this.entities = entities;
        this.form = form;
        this.log = log;
        this.names = names;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.stays = stays;
        this.trials = trials;
        this.edits = edits;
        this.journal = journal;
    }

    /**
     * A measurement to be corrected.
     *
     * @param typed its figures as they would be typed, by their fields
     * @param history its versions, the first first; none where it was never corrected
     */
    record EditView(long id, int version, Map<String, String> typed, List<Edits.VersionView> history) {}

    /** What undoing a correction needs. */
    record Correction(long measurement, int version) {}

    /**
     * A measurement with what it was before.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public EditView view(long id) {
        return new EditView(
                id,
                edits.version(Edits.Kind.MEASUREMENT, id),
                texts(require(id)),
                edits.history(Edits.Kind.MEASUREMENT, id));
    }

    /**
     * Corrects a measurement.
     *
     * @param seen the version that was looked at; null when that is not known
     * @return the number of the change in the journal; empty where nothing changed
     * @throws InvalidInputException naming the fields that are wrong
     * @throws ConflictException when the log has the same measurement already
     */
    public @Nullable Long edit(long id, MeasurementForm.Request request, @Nullable Integer seen) {
        Measurement row = require(id);
        MeasurementForm.Result read = form.read(request);
        Map<String, String> before = texts(row);
        Map<String, String> after = change(
                row, read.measurement().orElseThrow(() -> new InvalidInputException(read.problems())), before, seen);
        if (before.equals(after)) {
            return null;
        }
        return journal.write(
                Journal.Kind.EDITED,
                "Changed " + names.describe(row) + ": " + changesText(before, after),
                new Correction(id, edits.version(Edits.Kind.MEASUREMENT, id)));
    }

    private Map<String, String> change(
            Measurement row, NewMeasurement m, Map<String, String> before, @Nullable Integer seen) {
        Fingerprint wasPrint = row.print();
        Moments.MeasuredMoment was = row.moment();
        LogNames.Place place = names.place(m);
        row.place(place.campsite(), place.setup(), place.carrier());
        row.fill(m);
        row.print(names.print(row, names.first()));
        Map<String, String> after = texts(row);
        if (before.equals(after)) {
            return after;
        }
        edits.change(Edits.Kind.MEASUREMENT, row.id, "This measurement", seen, before, after);
        if (!row.print().equals(wasPrint)) {
            if (log.isElsewhere(row)) {
                throw new ConflictException(
                        "takenAt", "the same measurement is in the log already; delete one of them instead");
            }
            rememberPrint(row, wasPrint);
        }
        entities.flush();
        if (!was.equals(row.moment())) {
            stays.onChanged(was.at(), was.at());
            stays.onChanged(row.takenAt, row.takenAt);
        }
        trials.add(row);
        return after;
    }

    /** The file that it came from adds nothing, whatever it was corrected to. */
    private void rememberPrint(Measurement row, Fingerprint was) {
        FormerPrint.Key key = FormerPrint.Key.of(was, row.id);
        if (entities.find(FormerPrint.class, key) == null) {
            entities.persist(new FormerPrint(key));
        }
        FormerPrint now = entities.find(FormerPrint.class, FormerPrint.Key.of(row.print(), row.id));
        if (now != null) {
            entities.remove(now);
        }
    }

    private Measurement require(long id) {
        Measurement row = entities.find(Measurement.class, id);
        if (row == null) {
            throw new NotFoundException("no measurement has the number " + id);
        }
        return row;
    }

    private Map<String, String> texts(Measurement row) {
        return RowTexts.of(
                row,
                campsites.name(row.campsiteId).orElseThrow(),
                setups.name(row.setupId).orElseThrow(),
                carriers.name(row.carrierId).orElse(""));
    }

    private static String changesText(Map<String, String> before, Map<String, String> after) {
        Set<String> fields = new TreeSet<>(before.keySet());
        fields.addAll(after.keySet());
        StringBuilder said = new StringBuilder();
        for (String field : fields) {
            String was = before.getOrDefault(field, "");
            String now = after.getOrDefault(field, "");
            if (!Objects.equals(was, now)) {
                said.append(said.isEmpty() ? "" : ", ")
                        .append(name(field))
                        .append(" from ")
                        .append(was.isEmpty() ? "nothing" : was)
                        .append(" to ")
                        .append(now.isEmpty() ? "nothing" : now)
                        .append(unit(field));
            }
        }
        return said.toString();
    }

    private static String name(String field) {
        return Figure.ofField(field)
                .map(f -> f.isNumber() ? f.measure().phrase() : f.label().replace('_', ' '))
                .orElse(field);
    }

    private static String unit(String field) {
        return Figure.ofField(field)
                .filter(Figure::isNumber)
                .map(f -> " " + f.measure().unit())
                .orElse("");
    }

    @Override
    public Set<Journal.Kind> kinds() {
        return Set.of(Journal.Kind.EDITED, Journal.Kind.DELETED);
    }

    @Override
    public void undo(long entry, Journal.Kind kind, String detail) {
        if (kind == Journal.Kind.DELETED) {
            log.restore(Journal.read(detail, MeasurementLog.Deletion.class).measurement());
            return;
        }
        Correction made = Journal.read(detail, Correction.class);
        Measurement row = entities.find(Measurement.class, made.measurement());
        if (row == null) {
            throw new ConflictException("this measurement was deleted since; put it back first");
        }
        if (!edits.stands(Edits.Kind.MEASUREMENT, row.id, made.version())) {
            throw new ConflictException("this measurement was changed again since; undo the later change first");
        }
        Map<String, String> was = edits.was(Edits.Kind.MEASUREMENT, row.id, made.version() - 1, TYPED)
                .orElseThrow();
        MeasurementForm.Result read = form.read(new MeasurementForm.Request(was));
        change(
                row,
                read.measurement().orElseThrow(() -> new ConflictException("what it was can no longer be read")),
                texts(row),
                null);
    }
}

package syntoma.app.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.OffsetDateTime;
import java.util.Locale;
import org.springframework.lang.Nullable;
import syntoma.core.unit.Labels;

/** Something done on a run sheet beside what was logged. */
@Entity
class SheetEntry {
    /** What was done. */
    enum Kind {
        /** A visit stands, and settles. */
        STANDS,
        /** It does not stand after all. */
        BACK,
        /** A visit is left out. */
        SKIP,
        /** A visit that was left out is made after all. */
        UNSKIP,
        NOTE,
        PAUSE,
        RESUME,
        /** A measurement that was in doubt is kept. */
        KEEP;

        String label() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Kind fromLabel(String text) {
            return Labels.find("kind", text, values(), Kind::label);
        }
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long planId;
    OffsetDateTime enteredAt;

    @Enumerated(EnumType.STRING)
    Kind kind;

    @Nullable
    Integer visit;

    @Nullable
    Long measurement;

    @Nullable
    String text;

    protected SheetEntry() {}

    SheetEntry(
            Long planId,
            OffsetDateTime enteredAt,
            Kind kind,
            @Nullable Integer visit,
            @Nullable Long measurement,
            @Nullable String text) {
        this.planId = planId;
        this.enteredAt = enteredAt;
        this.kind = kind;
        this.visit = visit;
        this.measurement = measurement;
        this.text = text;
    }
}

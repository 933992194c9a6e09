package syntoma.app.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.core.design.Variation;

/** What a designed trial compares, by the names of then. */
@Entity
class TrialContender {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    int place;
    String setup;

    @Nullable
    String carrier;

    /** What hands arrange for it beside its setup's chain. */
    @Nullable
    String arrangedKind;

    @Nullable
    String arrangedValue;

    protected TrialContender() {}

    TrialContender(int place, String setup, DesignRequest.ContenderRequest asked, @Nullable String carrier) {
        this.place = place;
        this.setup = setup;
        this.carrier = carrier;
        if (asked.change() != null) {
            arrangedKind = asked.change().kind();
            arrangedValue = asked.change().value();
        }
    }

    Optional<Variation> variation() {
        return arrangedKind == null
                ? Optional.empty()
                : Optional.of(new Variation(Variation.Kind.fromLabel(arrangedKind), arrangedValue));
    }
}

package syntoma.app.trial;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.springframework.lang.Nullable;

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

    protected TrialContender() {}

    TrialContender(int place, String setup, @Nullable String carrier) {
        this.place = place;
        this.setup = setup;
        this.carrier = carrier;
    }
}

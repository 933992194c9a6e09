package syntoma.app.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;
import org.springframework.lang.Nullable;

/** A practice trial: how it was made, and what was said of it. */
@Entity
@Table(name = "practice_game")
class StoredGame {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    long seed;
    OffsetDateTime beganAt;

    @Nullable
    Integer rounds;

    @Nullable
    Integer runs;

    @Nullable
    String said;

    @Nullable
    Boolean isRight;

    @Nullable
    Boolean claimedTooMuch;

    protected StoredGame() {}

    StoredGame(long seed, OffsetDateTime beganAt) {
        this.seed = seed;
        this.beganAt = beganAt;
    }
}

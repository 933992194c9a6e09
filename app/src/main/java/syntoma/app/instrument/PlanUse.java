package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.Cards;
import syntoma.app.platform.Optionals;
import syntoma.core.unit.Values;

/** What runs have taken of a carrier's plan this month. */
@Service
@Transactional(readOnly = true)
public class PlanUse {
    private static final double BYTES_PER_GB = 1e9;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final EntityManager entities;
    private final Cards cards;
    private final Clock clock;

    PlanUse(EntityManager entities, Cards cards, Clock clock) {
        this.entities = entities;
        this.cards = cards;
        this.clock = clock;
    }

    /**
     * What runs have taken.
     *
     * @param runsGb since the month began
     * @param allowanceGb of a month, of all cards of the carrier that are owned; null where no sheet says
     * @param sentence the same in words, with what is not counted
     */
    public record PlanUseView(
            String carrier, OffsetDateTime since, double runsGb, @Nullable Double allowanceGb, String sentence) {}

    /** Of a carrier, by its name. */
    public PlanUseView of(String carrier) {
        OffsetDateTime since =
                OffsetDateTime.now(clock).truncatedTo(ChronoUnit.DAYS).withDayOfMonth(1);
        Long bytes = entities.createQuery(
                        "select sum(r.bytesUsed) from SpeedRun r where r.carrier = :carrier and r.startedAt >= :since",
                        Long.class)
                .setParameter("carrier", carrier)
                .setParameter("since", since)
                .getSingleResult();
        double gb = bytes == null ? 0 : bytes / BYTES_PER_GB;
        Double allowance = Optional.ofNullable(cards.byCarrier().get(carrier))
                .map(card -> Optionals.boxed(card.allowanceGb()))
                .orElse(null);
        String taken = Values.rounded(gb, gb < 10 ? 2 : 0);
        String from = DAY.format(since);
        String sentence = allowance == null
                ? "Runs have taken " + taken + " GB on " + carrier + " since " + from
                        + "; no card in Rig says what its plan allows."
                : "Runs have taken " + taken + " of the " + Values.plain(allowance) + " GB on " + carrier + " since "
                        + from + "; what else went over it is not counted.";
        return new PlanUseView(carrier, since, gb, allowance, sentence);
    }
}

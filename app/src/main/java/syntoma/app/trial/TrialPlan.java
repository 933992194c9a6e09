package syntoma.app.trial;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import syntoma.app.setup.SetupName;
import syntoma.core.design.Order;

/** A trial known before its measurements: how many rounds it was planned for, and how it was designed. */
@Entity
class TrialPlan {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    Long campsiteId;
    String name;
    int plannedRounds;
    OffsetDateTime plannedAt;

    /** At each visit; this and what follows is null where only the rounds were said. */
    @Nullable
    Integer runs;

    @Nullable
    String kind;

    @Nullable
    String visitOrder;

    @Nullable
    Integer seed;

    @Nullable
    Double difference;

    /** Times of day, with commas between; null where it is made at once. */
    @Nullable
    String spread;

    /** What was where when it was planned, as JSON; null in those planned before that was kept. */
    @Nullable
    String startState;

    @OneToMany(cascade = CascadeType.ALL, orphanRemoval = true)
    @JoinColumn(name = "plan_id", nullable = false)
    @OrderBy("place")
    List<TrialContender> contenders = new ArrayList<>();

    protected TrialPlan() {}

    TrialPlan(Long campsiteId, String name, int plannedRounds, OffsetDateTime plannedAt) {
        this.campsiteId = campsiteId;
        this.name = name;
        this.plannedRounds = plannedRounds;
        this.plannedAt = plannedAt;
    }

    /** Keeps how it was designed. @param start what was where then */
    void designed(DesignView design, DesignRequest asked, List<SetupName> names, String start) {
        startState = start;
        runs = design.runs();
        kind = design.kind();
        visitOrder = Optional.ofNullable(asked.order()).orElse(Order.TURNING.label());
        seed = design.seed();
        difference = asked.difference();
        spread = asked.spread() == null || asked.spread().isEmpty() ? null : String.join(",", asked.spread());
        for (int i = 0; i < names.size(); i++) {
            contenders.add(new TrialContender(
                    i,
                    names.get(i).name(),
                    asked.contenders().get(i),
                    design.contenders().get(i).carrier()));
        }
    }

    List<LocalTime> times() {
        return spread == null
                ? List.of()
                : Arrays.stream(spread.split(","))
                        .map(LocalTime::parse)
                        .distinct()
                        .sorted()
                        .toList();
    }

    boolean isDesigned() {
        return runs != null;
    }

    /** The design, as it would be asked for again; its contenders are told from here. */
    DesignRequest request() {
        return new DesignRequest(null, difference, kind, null, null, null, visitOrder, seed, null);
    }
}

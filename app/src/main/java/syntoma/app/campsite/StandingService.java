package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Register;
import syntoma.app.setup.SetupDeletedEvent;
import syntoma.app.setup.SetupName;
import syntoma.app.setup.Setups;

/** The standing line: where the vehicle stands now, and what is in use. */
@Service
@Transactional
public class StandingService {
    private final EntityManager entities;
    private final Campsites campsites;
    private final Setups setups;
    private final Carriers carriers;
    private final Stays stays;
    private final Moments moments;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    StandingService(
            EntityManager entities,
            Campsites campsites,
            Setups setups,
            Carriers carriers,
            Stays stays,
            Moments moments,
            ApplicationEventPublisher events,
            Clock clock) {
        this.entities = entities;
        this.campsites = campsites;
        this.setups = setups;
        this.carriers = carriers;
        this.stays = stays;
        this.moments = moments;
        this.events = events;
        this.clock = clock;
    }

    /** Where something was measured last, which is not where the line stands. */
    public record Elsewhere(String campsite, OffsetDateTime at) {}

    /**
     * What the standing line says.
     *
     * @param over whether the stay has ended, so that the vehicle stands somewhere else by now
     * @param elsewhere null where the last measurement was made where the line stands
     */
    public record StandingLine(
            OffsetDateTime now,
            @Nullable Long stay,
            @Nullable String campsite,
            @Nullable OffsetDateTime since,
            @Nullable SetupName setup,
            @Nullable String carrier,
            boolean over,
            @Nullable Elsewhere elsewhere) {}

    /** The line as it is. */
    @Transactional(readOnly = true)
    public StandingLine line() {
        StandingRow standing = row();
        Optional<Stay> stay = stay(standing);
        OffsetDateTime now = OffsetDateTime.now(clock);
        return new StandingLine(
                now,
                standing.stayId,
                stay.flatMap(s -> campsites.name(s.campsiteId)).orElse(null),
                stay.map(s -> s.arrivedAt).orElse(null),
                setups.ofNullable(standing.setupId),
                carriers.name(standing.carrierId).orElse(null),
                stay.filter(s -> s.leftAt != null && !s.leftAt.isAfter(now)).isPresent(),
                measuredElsewhere(stay, now));
    }

    @Nullable
    private Elsewhere measuredElsewhere(Optional<Stay> stay, OffsetDateTime now) {
        return moments.lastBefore(now)
                .filter(last -> stay.map(s ->
                                s.campsiteId != last.campsite() && last.at().isAfter(s.arrivedAt))
                        .orElse(true))
                .map(last -> new Elsewhere(campsites.name(last.campsite()).orElseThrow(), last.at()))
                .orElse(null);
    }

    private StandingRow row() {
        return entities.find(StandingRow.class, StandingRow.ONLY);
    }

    private Optional<Stay> stay(StandingRow standing) {
        return Optional.ofNullable(standing.stayId).map(id -> entities.find(Stay.class, id));
    }

    /** Changes the parts that are given, from now on. */
    public StandingLine change(@Nullable String campsite, @Nullable String setup, @Nullable String carrier) {
        return change(campsite, setup, carrier, OffsetDateTime.now(clock));
    }

    /** Begins a stay, also at the campsite where the last one was. */
    public StandingLine arrive(String campsite) {
        StandingRow standing = row();
        standing.stayId =
                stays.arrive(campsites.number(Register.name("campsite", campsite)), OffsetDateTime.now(clock));
        return saveChange(false);
    }

    /** Changes the parts that are given; a campsite other than the present one begins a stay at that time. */
    public StandingLine change(
            @Nullable String campsite, @Nullable String setup, @Nullable String carrier, OffsetDateTime at) {
        String place = campsite == null ? null : Register.name("campsite", campsite);
        String used = setup == null ? null : Register.name("setup", setup);
        String network = carrier == null ? null : Register.name("carrier", carrier);
        StandingRow standing = row();
        if (place != null) {
            Long id = campsites.number(place);
            Long present = stay(standing).map(s -> s.campsiteId).orElse(null);
            if (!Objects.equals(present, id)) {
                standing.stayId = stays.arrive(id, at);
            }
        }
        if (used != null) {
            standing.setupId = setups.number(used);
        }
        if (network != null) {
            standing.carrierId = carriers.number(network);
        }
        return saveChange(used != null || network != null);
    }

    private StandingLine saveChange(boolean uses) {
        entities.flush();
        StandingLine line = line();
        events.publishEvent(new StandingChangedEvent(
                line.campsite(), line.setup() == null ? null : line.setup().name(), line.carrier(), uses));
        return line;
    }

    /** Ends the stay: the vehicle drives off. Nothing happens where it has ended already. */
    public StandingLine leave() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        stay(row()).filter(stay -> stay.leftAt == null).ifPresent(stay -> stays.end(stay, Optional.of(now)));
        return saveChange(false);
    }

    /** Takes back that the vehicle drove off: the stay goes on. */
    public StandingLine stayOn() {
        stay(row()).filter(stay -> stay.stated).ifPresent(stay -> stays.end(stay, Optional.empty()));
        return saveChange(false);
    }

    /** A setup that is deleted is no longer in use. */
    @EventListener
    public void lets(SetupDeletedEvent gone) {
        StandingRow standing = row();
        if (standing.setupId != null && standing.setupId == gone.setup()) {
            standing.setupId = null;
            entities.flush();
        }
    }
}

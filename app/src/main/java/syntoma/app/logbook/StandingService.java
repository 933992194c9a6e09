package syntoma.app.logbook;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.Objects;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInput;
import syntoma.core.unit.Text;

/** The standing line: where the vehicle stands now, and what is in use. */
@Service
@Transactional
public class StandingService {
    private final EntityManager entities;
    private final Names names;
    private final StayService stays;
    private final Logbook logbook;

    StandingService(EntityManager entities, Names names, StayService stays, Logbook logbook) {
        this.entities = entities;
        this.names = names;
        this.stays = stays;
        this.logbook = logbook;
    }

    /** What the standing line says. */
    public record StandingLine(
            OffsetDateTime now,
            @Nullable Long stay,
            @Nullable String campsite,
            @Nullable OffsetDateTime since,
            @Nullable Logbook.SetupName setup,
            @Nullable String carrier) {}

    /** The line as it is. */
    @Transactional(readOnly = true)
    public StandingLine line() {
        Standing standing = entities.find(Standing.class, Standing.ONLY);
        Stay stay = standing.stayId == null ? null : entities.find(Stay.class, standing.stayId);
        Setup setup = standing.setupId == null ? null : entities.find(Setup.class, standing.setupId);
        Carrier carrier = standing.carrierId == null ? null : entities.find(Carrier.class, standing.carrierId);
        return new StandingLine(
                logbook.now(),
                standing.stayId,
                stay == null ? null : entities.find(Campsite.class, stay.campsiteId).name,
                stay == null ? null : stay.arrivedAt,
                setup == null ? null : new Logbook.SetupName(setup.id, setup.name, setup.pennant),
                carrier == null ? null : carrier.name);
    }

    /** Changes the parts that are given; a campsite other than the present one begins a stay at that time. */
    public StandingLine change(
            @Nullable String campsite, @Nullable String setup, @Nullable String carrier, OffsetDateTime at) {
        Names.Book book = names.open(Names.Making.HERE);
        Standing standing = entities.find(Standing.class, Standing.ONLY);
        if (campsite != null) {
            Long id = book.campsite(name("campsite", campsite), "", "");
            Stay present = standing.stayId == null ? null : entities.find(Stay.class, standing.stayId);
            if (present == null || !Objects.equals(present.campsiteId, id)) {
                standing.stayId = stays.arrive(id, at).id;
            }
        }
        if (setup != null) {
            standing.setupId = book.setup(name("setup", setup));
        }
        if (carrier != null) {
            standing.carrierId = book.carrier(name("carrier", carrier));
        }
        entities.flush();
        return line();
    }

    static String name(String field, String text) {
        return InvalidInput.naming(field, () -> Text.name(field, text, Logbook.LONGEST_NAME));
    }
}

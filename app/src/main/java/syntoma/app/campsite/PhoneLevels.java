package syntoma.app.campsite;

import jakarta.persistence.EntityManager;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.Optionals;

/** What phones showed on arrival, per carrier, outside and inside. */
@Service
@Transactional
public class PhoneLevels {
    private final EntityManager entities;

    PhoneLevels(EntityManager entities) {
        this.entities = entities;
    }

    /** One of them; the level is null for no service. */
    public record NotedLevel(
            long stayId,
            long campsiteId,
            long carrierId,
            boolean inside,
            @Nullable Double levelDbm,
            OffsetDateTime notedAt) {}

    /** All levels in the order in which they were noted; bars are none. */
    @Transactional(readOnly = true)
    public List<NotedLevel> all() {
        return entities.createQuery(
                        "select new syntoma.app.campsite.PhoneLevels$NotedLevel(p.stayId, s.campsiteId, p.carrierId, p.inside,"
                                + " p.levelDbm, p.notedAt) from PhoneLevel p join Stay s on s.id = p.stayId where p.bars is null order by p.id",
                        NotedLevel.class)
                .getResultList();
    }

    /** Notes a level in place of what was noted of the same carrier at the stay before. */
    public void note(
            long stay, long carrier, boolean inside, syntoma.core.reading.PhoneLevel level, OffsetDateTime at) {
        entities.createQuery("delete from PhoneLevel p where p.stayId = :stay and p.carrierId = :carrier"
                        + " and p.inside = :inside")
                .setParameter("stay", stay)
                .setParameter("carrier", carrier)
                .setParameter("inside", inside)
                .executeUpdate();
        entities.persist(new PhoneLevel(
                stay,
                carrier,
                inside,
                Optionals.boxed(level.dbm()),
                level.bars().orElse(null),
                at));
    }
}

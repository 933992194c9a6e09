package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.store.StoreRestoredEvent;

/** Where the store was filled again, measurements go on with numbers that none of it has, deleted ones among them. */
@Component
class Renumbering {
    private final EntityManager entities;

    Renumbering(EntityManager entities) {
        this.entities = entities;
    }

    @EventListener(StoreRestoredEvent.class)
    @Transactional(readOnly = true)
    public void onRestore() {
        SequenceNumber.NumberGenerator.continueAfter(Math.max(
                entities.createQuery("select coalesce(max(m.id), 0L) from Measurement m", Long.class)
                        .getSingleResult(),
                entities.createQuery("select coalesce(max(d.id), 0L) from DeletedMeasurement d", Long.class)
                        .getSingleResult()));
    }
}

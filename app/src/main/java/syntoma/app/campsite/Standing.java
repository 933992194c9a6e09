package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** What the standing line says; the table has one row. */
@Entity
class Standing {
    static final int ONLY = 1;

    @Id
    Integer id;

    Long stayId;
    Long setupId;
    Long carrierId;

    protected Standing() {}
}

package syntoma.app.campsite;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** What the standing line says; the table has one row. */
@Entity
@Table(name = "standing")
class StandingRow {
    static final int ONLY = 1;

    @Id
    Integer id;

    Long stayId;
    Long setupId;
    Long carrierId;

    protected StandingRow() {}
}

package syntoma.app.need;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A need with its thresholds, and whether it is one of those chosen. */
@Entity
@Table(name = "need")
class NeedRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    String name;
    Double downMbps;
    Double upMbps;
    Double loadedMs;
    Double lossPct;
    String partOfDay;

    @Column(name = "hours_a_day")
    double hoursADay;

    boolean chosen;

    protected NeedRow() {}

    NeedRow(String name) {
        this.name = name;
    }
}

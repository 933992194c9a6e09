package syntoma.app.need;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** The vehicle, and what else the choice of gear rests on; the table has one row. */
@Entity
class Rig {
    static final int ONLY = 1;

    @Id
    Integer id;

    String vehicle;
    String body;

    @Column(name = "height_m")
    double heightM;

    @Column(name = "limit_m")
    double limitM;

    double batteryAh;

    @Column(name = "battery_v")
    double batteryV;

    @Column(name = "hours_a_day")
    double hoursADay;

    Long carrierId;
    String region;
    Double budget;
    String currency;
    Double uploadGb;
    String features;

    protected Rig() {}
}

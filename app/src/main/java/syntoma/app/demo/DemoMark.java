package syntoma.app.demo;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Stands in the store while it holds the demo data. */
@Entity
@Table(name = "demo")
class DemoMark {
    static final int ONLY = 1;

    @Id
    Integer id = ONLY;

    protected DemoMark() {}

    static DemoMark now() {
        return new DemoMark();
    }
}

package syntoma.app.exchange;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.OffsetDateTime;

/** How a table with certain headings is read, as its owner said. */
@Entity
@Table(name = "import_mapping")
class KeptMapping {
    @Id
    String headings;

    String mapping;
    OffsetDateTime keptAt;

    protected KeptMapping() {}

    KeptMapping(String headings, String mapping, OffsetDateTime keptAt) {
        this.headings = headings;
        this.mapping = mapping;
        this.keptAt = keptAt;
    }
}

package syntoma.app.exchange;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.util.Objects;

/** A name that was made for an import which is not finished. */
@Entity
@IdClass(ImportMade.Key.class)
class ImportMade {
    @Id
    String kind;

    @Id
    Long nameId;

    protected ImportMade() {}

    ImportMade(String kind, Long nameId) {
        this.kind = kind;
        this.nameId = nameId;
    }

    Key key() {
        return new Key(kind, nameId);
    }

    /** Kind and number. */
    static class Key implements Serializable {
        private String kind;
        private Long nameId;

        protected Key() {}

        Key(String kind, Long nameId) {
            this.kind = kind;
            this.nameId = nameId;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Key key && kind.equals(key.kind) && nameId.equals(key.nameId);
        }

        @Override
        public int hashCode() {
            return Objects.hash(kind, nameId);
        }
    }
}

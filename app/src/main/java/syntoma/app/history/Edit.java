package syntoma.app.history;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.OffsetDateTime;
import java.util.Objects;

/** Something as it was after a change. */
@Entity
@IdClass(Edit.Key.class)
class Edit {
    @Id
    String kind;

    @Id
    Long number;

    @Id
    Integer version;

    OffsetDateTime at;
    String content;

    protected Edit() {}

    Edit(String kind, Long number, int version, OffsetDateTime at, String content) {
        this.kind = kind;
        this.number = number;
        this.version = version;
        this.at = at;
        this.content = content;
    }

    /** Kind, number and version. */
    static class Key implements Serializable {
        private String kind;
        private Long number;
        private Integer version;

        protected Key() {}

        Key(String kind, Long number, Integer version) {
            this.kind = kind;
            this.number = number;
            this.version = version;
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof Key key
                    && kind.equals(key.kind)
                    && number.equals(key.number)
                    && version.equals(key.version);
        }

        @Override
        public int hashCode() {
            return Objects.hash(kind, number, version);
        }
    }
}

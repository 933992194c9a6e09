package syntoma.app.platform;

import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;

/** Something that is known by a name of its own. */
@MappedSuperclass
public abstract class NamedThing {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;

    /** The one that stands for it; null while it has none. */
    private Long mergedInto;

    protected NamedThing() {}

    protected NamedThing(String name) {
        this.name = name;
    }

    public Long id() {
        return id;
    }

    public String name() {
        return name;
    }

    Long mergedInto() {
        return mergedInto;
    }

    void merge(Long into) {
        this.mergedInto = into;
    }

    void rename(String other) {
        this.name = other;
    }
}

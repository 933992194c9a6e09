package syntoma.core.sentence;

/** A part of a sentence whose words depend on the units that its reader uses. */
public interface Part {
    /** Its words in a system of units. */
    String in(UnitSystem system);
}

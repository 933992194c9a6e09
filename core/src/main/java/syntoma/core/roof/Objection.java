package syntoma.core.roof;

import java.util.Locale;
import syntoma.core.sentence.Sentence;

/**
 * Why an antenna may not stand somewhere.
 *
 * @param says in a sentence
 */
public record Objection(Why kind, Sentence says) {
    /** The rules, the ones that nobody can talk round first. */
    public enum Why {
        OFF_ROOF("not all of it on the roof"),
        ON_THING("something is there"),
        HOLE("the hole would meet what is hidden"),
        GROUND_PLANE("no ground plane"),
        CLEARANCE("too near to other gear");

        private final String says;

        Why(String says) {
            this.says = says;
        }

        public String says() {
            return says;
        }

        /** The name in the API. */
        public String label() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}

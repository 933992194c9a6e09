package syntoma.core.diagnosis;

import java.util.Optional;

/** One cause, and how to see it. Where the evidence does not reach, a rule stays silent. */
interface Rule {
    Optional<Claim> look(Situation s);
}

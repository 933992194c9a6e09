/**
 * A build as a sheet of tasks: what comes before what, how long each takes and waits, who is needed, and when all of it is done
 * within the hours there are. Durations and moments are whole minutes.
 */
@NullMarked
package syntoma.core.jobsheet;

import org.jspecify.annotations.NullMarked;

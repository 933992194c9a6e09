/**
 * Who may in: what a pass phrase must be, and how soon another may be tried.
 *
 * <p>Lengths in characters as a person counts them, times as instants. Nothing here knows a secret longer than the call that
 * brings it. Refuses phrases that a list of common ones or a short rule would find.
 */
@NullMarked
package syntoma.core.access;

import org.jspecify.annotations.NullMarked;

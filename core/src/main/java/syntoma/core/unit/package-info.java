/**
 * Numbers, texts and labels from outside: read, checked and written.
 *
 * <p>Every check is linear in the length of its text, and every refusal names the field, the value and what is allowed.
 */
@NullMarked
package syntoma.core.unit;

import org.jspecify.annotations.NullMarked;

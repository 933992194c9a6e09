/** Sentences whose lengths, weights and temperatures are typed, so that one place writes them in metric or imperial units. */
@NullMarked
package syntoma.core.sentence;

import org.jspecify.annotations.NullMarked;

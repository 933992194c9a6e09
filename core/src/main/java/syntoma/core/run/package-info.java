/**
 * A speed run: what is dropped of it, what it reports, when it has seen enough, and what it says.
 *
 * <p>Rates are goodput in Mb/s (10^6 bit/s of payload, as received by the one who receives), in samples of 250 ms; latencies in
 * ms; amounts in byte. Assumes that the samples of a direction follow one another without a gap.
 */
@NullMarked
package syntoma.core.run;

import org.jspecify.annotations.NullMarked;

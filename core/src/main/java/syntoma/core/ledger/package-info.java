/**
 * What plans of SIM cards allow, what was used of them and what that cost. Data in GB (10⁹ byte), rates in Mb/s, money in the unit
 * in which prices were entered. A plan's month begins on its reset day, on the day’s first moment.
 */
@NullMarked
package syntoma.core.ledger;

import org.jspecify.annotations.NullMarked;

/** Where on the globe: coordinates as people write and paste them, and what is near. Degrees on WGS-84, distances in km. */
@NullMarked
package syntoma.core.place;

import org.jspecify.annotations.NullMarked;

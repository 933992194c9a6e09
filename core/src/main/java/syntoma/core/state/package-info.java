/**
 * What is where in the vehicle, and what hands have to do until a setup can be used: which antenna's leads are on which device,
 * which SIM is in which, the mast up or down, the booster on or off, the bands that a device is held to. Planner, run sheet, advice
 * and arrival all start from it, so that they say the same steps and charge the same minutes.
 *
 * <p>Heights in m above the roof, times in minutes. Assumes that what nobody said is where it usually is: a roof antenna on the
 * roof, a mast down, a SIM in the device that it is used in, a booster off, bands automatic.
 */
@NullMarked
package syntoma.core.state;

import org.jspecify.annotations.NullMarked;

package syntoma.core.advice;

/**
 * What one setup measured in one part of the day of a stay: the mean of its runs, and what is known to bear on it.
 *
 * @param site the campsite and carrier
 * @param stay the stay and carrier
 * @param setup by its number in the layout
 * @param part of the day
 * @param runs that the mean is of
 * @param columns those of the model that are not 0
 * @param values of these columns
 * @param order the later, the higher
 */
record Cell(
        Place site,
        long stay,
        int setup,
        DayPart part,
        double mean,
        double runs,
        int[] columns,
        double[] values,
        long order) {

    /** A campsite on a carrier, each by its number. */
    record Place(long campsite, int carrier) {}
}

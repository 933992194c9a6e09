package syntoma.standin;

/** A made-up campsite at plausible coordinates, in degrees. */
public record Place(String name, double lat, double lon) {}

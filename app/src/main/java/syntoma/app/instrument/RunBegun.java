package syntoma.app.instrument;

/** A run begins: with which setup, on which carrier. */
public record RunBegun(String setup, String carrier) {}

package syntoma.standin.practice;

import syntoma.standin.air.Hands;

/**
 * What is tried against others, with what its rates truly are beside what the world gives its setup.
 *
 * @param downTimes its true download, in times of what its setup brings
 * @param upTimes the same of its upload
 */
public record Rival(String name, Hands hands, double downTimes, double upTimes) {
    /** A setup as the world has it. */
    public static Rival asItIs(String name, Hands hands) {
        return new Rival(name, hands, 1, 1);
    }
}

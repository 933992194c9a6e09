package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import syntoma.core.sentence.Sentence;

/**
 * What a calculator says.
 *
 * @param says the result in a sentence
 * @param profile the ground between two antennas, where one was sketched
 * @param keep what of it can be kept, by what it is: {@code cable}, {@code mast}, {@code trial}, {@code reading}
 */
public record Answer(Sentence says, List<Line> lines, Optional<Profile> profile, Optional<Keep> keep) {
    /**
     * A figure of the result.
     *
     * @param isAbout whether it is an estimate
     */
    public record Line(String label, Sentence value, boolean isAbout) {}

    /**
     * The ground between two antennas.
     *
     * @param km from the first antenna
     * @param groundM height of the ground, of the same length
     * @param fromM height of the first antenna above sea, of the second
     * @param fresnelM radius of the first Fresnel zone at each place
     */
    public record Profile(List<Double> km, List<Double> groundM, double fromM, double toM, List<Double> fresnelM) {}

    /** Something that can be kept, with its values by name. */
    public record Keep(String kind, Map<String, String> values) {}

    static Answer of(CharSequence says, Line... lines) {
        return new Answer(Sentence.of(says), List.of(lines), Optional.empty(), Optional.empty());
    }

    Answer keeping(String what, Map<String, String> values) {
        return new Answer(says, lines, profile, Optional.of(new Keep(what, values)));
    }

    static Line line(String label, Object value) {
        return new Line(label, Sentence.of(value), false);
    }

    static Line about(String label, Object value) {
        return new Line(label, Sentence.of(value), true);
    }
}

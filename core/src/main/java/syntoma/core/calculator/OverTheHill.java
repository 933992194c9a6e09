package syntoma.core.calculator;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import syntoma.core.caution.Caution;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.propagation.Obstacle;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The loss over a hill, from a sketched profile. */
final class OverTheHill implements Calculator {
    @Override
    public String key() {
        return "hill";
    }

    @Override
    public String name() {
        return "Over a hill";
    }

    @Override
    public String answers() {
        return "The loss over a hill, from a sketched profile.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("km", "Distance to the tower", "km", "6", 0.05, 200),
                Input.number("mhz", "Frequency", "MHz", "800", 10, 8000),
                Input.number("from", "Your antenna above ground", "m", "4", 0, 500),
                Input.number("to", "Tower above ground", "m", "40", 0, 500),
                Input.isMultiline(
                        "profile",
                        "The ground: distance and height, one point a line",
                        "km m",
                        "0 20\n2 25\n3.5 70\n6 30"));
    }

    @Override
    public String formula() {
        return "r₁ = √(λ d₁ d₂ ∕ d); v = h √2 ∕ r₁; J(v) = 6.9 + 20 log₁₀(√((v − 0.1)² + 1) + v − 0.1), ITU-R P.526, with the earth’s bulge (4∕3); free space 32.45 + 20 log₁₀ d + 20 log₁₀ f.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "For the highest edge only. Several ridges, woods and houses add loss; a rounded top loses more than an edge; over long distances refraction changes it by a few dB.");
    }

    @Override
    public String caution() {
        return Caution.MAST.says();
    }

    @Override
    public Answer of(GivenValues given) {
        double km = given.number("km");
        double mhz = given.number("mhz");
        List<double[]> ground = Sketch.of(given.text("profile"), km);
        double fromM = Sketch.heightAt(ground, 0) + given.number("from");
        double toM = Sketch.heightAt(ground, km) + given.number("to");
        double worst = Double.NEGATIVE_INFINITY;
        double at = 0;
        double above = 0;
        List<Double> places = new ArrayList<>();
        List<Double> heights = new ArrayList<>();
        List<Double> radii = new ArrayList<>();
        for (double d : lookedAt(ground, km)) {
            double height = Sketch.heightAt(ground, d);
            places.add(d);
            heights.add(height);
            radii.add(Obstacle.fresnelM(1, d, km - d, mhz));
            double line = fromM + (toM - fromM) * d / km;
            double over = height + Obstacle.bulgeM(d, km - d) - line;
            double v = d == 0 || d == km ? Double.NEGATIVE_INFINITY : Obstacle.v(over, d, km - d, mhz);
            if (v > worst) {
                worst = v;
                at = d;
                above = over;
            }
        }
        double edge = Obstacle.lossDb(worst);
        double free = FreeSpace.lossDb(km, mhz);
        double radius = Obstacle.fresnelM(1, at, km - at, mhz);
        Sentence reach = above > 0
                ? Sentence.of(Quantity.metres(above, 0), " above the line.")
                : Sentence.of(
                        "up to ",
                        Quantity.metres(-above, 0),
                        " under the line, within the first Fresnel zone (",
                        Quantity.metres(radius, 0),
                        ").");
        CharSequence how = edge == 0
                ? "The path is clear: nothing reaches into the inner part of the first Fresnel zone."
                : Sentence.of(
                        "The ground costs about " + Values.round(edge, 1) + " dB more than free space, at ",
                        Quantity.kilometres(at, 1),
                        ", where it reaches ",
                        reach);
        Answer answer = Answer.of(
                how,
                Answer.about("Free space", Values.round(free, 1) + " dB"),
                Answer.about("The ground", Values.round(edge, 1) + " dB"),
                Answer.about("Total", Values.round(free + edge, 1) + " dB"),
                Answer.line("First Fresnel zone there", Quantity.metres(radius, 1)),
                Answer.line(
                        "Raise it for a clear path by",
                        Sentence.of(Quantity.metres(Math.max(0, above + 0.6 * radius), 0), " there")));
        return new Answer(
                answer.says(),
                answer.lines(),
                Optional.of(new Answer.Profile(places, heights, fromM, toM, radii)),
                Optional.empty());
    }

    /**
     * Where the ground is looked at, in km: at every corner of the sketch, where ridges are, and evenly between them, where the earth
     * bulges most.
     */
    private static double[] lookedAt(List<double[]> ground, double km) {
        return DoubleStream.concat(
                        IntStream.rangeClosed(0, STEPS).mapToDouble(i -> km * i / STEPS),
                        ground.stream().mapToDouble(corner -> corner[0]))
                .sorted()
                .distinct()
                .toArray();
    }

    private static final int STEPS = 200;
}

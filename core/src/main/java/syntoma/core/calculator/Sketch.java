package syntoma.core.calculator;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.OptionalDouble;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** The ground between two antennas as it is sketched: a line each with the distance in km and the height in m, straight between. */
final class Sketch {
    private static final int MOST = 200;
    private static final double HIGHEST = 9000;

    private Sketch() {}

    /** The places in their order. */
    static List<double[]> of(String text, double km) {
        List<double[]> places = new ArrayList<>();
        int number = 0;
        for (String line : text.lines().filter(l -> !l.isBlank()).toList()) {
            number++;
            String[] parts = line.strip().split("[\\s;]+");
            double[] place = new double[2];
            try {
                if (parts.length != 2) {
                    throw new NoSuchElementException();
                }
                place[0] = Values.typed(parts[0]).orElseThrow();
                place[1] = Values.typed(parts[1]).orElseThrow();
            } catch (NoSuchElementException unread) {
                throw GivenValues.refuse(
                        "profile",
                        "line " + number + " of the ground is " + Text.quote(line)
                                + "; allowed are the distance in km and the height in m, such as 2.5 70");
            }
            if (place[0] < 0 || place[0] > km || Math.abs(place[1]) > HIGHEST) {
                throw GivenValues.refuse(
                        "profile",
                        "line " + number + " of the ground is " + Text.quote(line) + "; allowed are 0 to " + km
                                + " km and heights up to 9000 m");
            }
            places.add(place);
        }
        if (places.size() > MOST) {
            throw GivenValues.refuse(
                    "profile", "the ground has " + places.size() + " lines; allowed are up to " + MOST);
        }
        places.sort(Comparator.comparingDouble(p -> p[0]));
        return places;
    }

    /**
     * The height somewhere: straight between places, as at the next one beyond them; at a cliff, where two have one distance, the
     * higher; 0 without any.
     */
    static double heightAt(List<double[]> places, double km) {
        if (places.isEmpty()) {
            return 0;
        }
        OptionalDouble corner = places.stream()
                .filter(place -> place[0] == km)
                .mapToDouble(place -> place[1])
                .max();
        if (corner.isPresent()) {
            return corner.getAsDouble();
        }
        double[] before = places.get(0);
        for (double[] place : places) {
            if (place[0] >= km) {
                return place == before
                        ? place[1]
                        : before[1] + (place[1] - before[1]) * (km - before[0]) / (place[0] - before[0]);
            }
            before = place;
        }
        return before[1];
    }
}

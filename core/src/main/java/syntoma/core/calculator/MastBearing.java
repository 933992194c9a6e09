package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import syntoma.core.aim.Bearing;
import syntoma.core.aim.Spot;
import syntoma.core.place.Coordinates;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The direction of a tower from here, true and magnetic. */
final class MastBearing implements Calculator {
    @Override
    public String key() {
        return "bearing";
    }

    @Override
    public String name() {
        return "Bearing to a tower";
    }

    @Override
    public String answers() {
        return "The direction of a tower from here, true and magnetic.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.text("from", "Here", "63.1, 21.6"),
                Input.text("to", "The tower", "63.2, 21.9"),
                Input.number("declination", "Declination, east is positive", "°", "0", -90, 90),
                Input.text("name", "Name of the tower", "").maybe());
    }

    @Override
    public String formula() {
        return "Geodesic on WGS-84 (Karney 2013); magnetic = true − declination.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "Direction and distance are exact. A compass near steel is not: step well away from the vehicle. Declination changes by a few tenths of a degree a year.");
    }

    @Override
    public Answer of(GivenValues given) {
        Spot from = spot(given, "from");
        Spot to = spot(given, "to");
        Bearing bearing = Bearing.between(from, to);
        double magnetic = bearing.magneticDeg(given.number("declination"));
        String name = given.text("name").isEmpty() ? "The tower" : given.text("name");
        Answer answer = Answer.of(
                Sentence.of(
                        name + " is at " + Values.round(magnetic, 0) + "° by the compass ("
                                + Values.round(bearing.trueDeg(), 0) + "° true), ",
                        Quantity.kilometres(bearing.km(), bearing.km() < 10 ? 2 : 1),
                        " away."),
                Answer.line("True", Values.round(bearing.trueDeg(), 1) + "°"),
                Answer.line("By the compass", Values.round(magnetic, 1) + "°"),
                Answer.line("Distance", Quantity.kilometres(bearing.km(), 2)));
        return answer.keeping(
                "mast",
                Map.of(
                        "name", name.equals("The tower") ? "" : name,
                        "lat", Double.toString(to.lat()),
                        "lon", Double.toString(to.lon())));
    }

    private static Spot spot(GivenValues given, String name) {
        try {
            Coordinates at = Coordinates.read(given.text(name));
            return new Spot(at.lat(), at.lon());
        } catch (GivenValues.InvalidValueException missing) {
            throw missing;
        } catch (IllegalArgumentException unread) {
            throw GivenValues.refuse(name, unread.getMessage());
        }
    }
}

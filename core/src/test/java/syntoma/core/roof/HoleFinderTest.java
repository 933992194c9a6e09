package syntoma.core.roof;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.junit.jupiter.api.Test;

class HoleFinderTest {
    private static final HoleFinder HOLES = new HoleFinder(30, 25, 4.2, 1.7);

    @Test
    void walls_lie_between_the_measures_inside_and_outside() {
        HoleFinder.Outside outside = HOLES.outside(0.5, 0.8);
        assertEquals(0.530, outside.spot().x(), 1e-12);
        assertEquals(0.825, outside.spot().y(), 1e-12);
        assertEquals(3.670, outside.fromRearM(), 1e-12);
        assertEquals(0.875, outside.fromRightM(), 1e-12);
        assertEquals(Math.hypot(0.53, 0.825), outside.diagonalM(), 1e-12);
    }

    @Test
    void the_way_back_leads_to_the_same_point() {
        Spot inside = HOLES.inside(HOLES.outside(1.25, 0.4).spot());
        assertEquals(1.25, inside.x(), 1e-12);
        assertEquals(0.4, inside.y(), 1e-12);
    }

    @Test
    void what_is_not_on_the_roof_is_refused() {
        assertEquals(
                "distance from the front is 4.33 m; allowed is 0 to 4.2 m",
                assertThrows(IllegalArgumentException.class, () -> HOLES.outside(4.3, 0.4))
                        .getMessage());
        assertThrows(IllegalArgumentException.class, () -> HOLES.inside(new Spot(1, 1.8)));
        assertThrows(IllegalArgumentException.class, () -> new HoleFinder(-1, 25, 4.2, 1.7));
    }
}

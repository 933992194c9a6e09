package syntoma.core.roof;

import java.util.ArrayList;
import java.util.List;

/**
 * The places of an antenna by trying every one of the grid, written for itself: what the search is compared with. How much of the
 * horizon is hidden is compared with rays elsewhere.
 */
final class TryingAll {
    private TryingAll() {}

    private record TriedPlace(Spot spot, boolean narrow, long clearance, long loss, double shade, long edge) {
        boolean isBefore(TriedPlace other) {
            if (clearance != other.clearance) {
                return clearance > other.clearance;
            }
            if (loss != other.loss) {
                return loss < other.loss;
            }
            if (shade != other.shade) {
                return shade < other.shade;
            }
            if (edge != other.edge) {
                return edge > other.edge;
            }
            return spot.x() != other.spot.x() ? spot.x() < other.spot.x() : spot.y() < other.spot.y();
        }
    }

    static List<Spot> places(Roof roof, Foot foot, Cabling cabling) {
        List<TriedPlace> free = new ArrayList<>();
        List<TriedPlace> narrow = new ArrayList<>();
        for (int i = 0; i <= Math.round(roof.lengthM() / 0.05); i++) {
            for (int j = 0; j <= Math.round(roof.widthM() / 0.05); j++) {
                tried(roof, foot, cabling, i * 0.05, j * 0.05).forEach(t -> (t.narrow ? narrow : free).add(t));
            }
        }
        List<TriedPlace> left = new ArrayList<>(free.isEmpty() ? narrow : free);
        List<Spot> best = new ArrayList<>();
        while (best.size() < 3 && !left.isEmpty()) {
            TriedPlace first = left.get(0);
            for (TriedPlace t : left) {
                first = t.isBefore(first) ? t : first;
            }
            Spot spot = first.spot;
            best.add(spot);
            left.removeIf(t -> Math.sqrt(square(t.spot.x() - spot.x()) + square(t.spot.y() - spot.y())) < 0.4 - 1e-9);
        }
        return best;
    }

    private static double square(double value) {
        return value * value;
    }

    private static List<TriedPlace> tried(Roof roof, Foot foot, Cabling cabling, double x, double y) {
        double halfLength = Math.max(foot.lengthM(), foot.plateM()) / 2;
        double halfWidth = Math.max(foot.widthM(), foot.plateM()) / 2;
        double e = 1e-6;
        if (x < halfLength - e
                || y < halfWidth - e
                || x > roof.lengthM() - halfLength + e
                || y > roof.widthM() - halfWidth + e) {
            return List.of();
        }
        double clearance = Double.POSITIVE_INFINITY;
        for (Thing thing : roof.things()) {
            Rect r = thing.rect();
            double dx = Math.max(Math.abs(x - (r.x() + r.lengthM() / 2)) - r.lengthM() / 2, 0);
            double dy = Math.max(Math.abs(y - (r.y() + r.widthM() / 2)) - r.widthM() / 2, 0);
            double apart = Math.sqrt(square(Math.max(0, dx - halfLength)) + square(Math.max(0, dy - halfWidth)));
            if (thing.kind().isOnRoof()) {
                if (dx < halfLength - e && dy < halfWidth - e || apart < thing.clearM()) {
                    return List.of();
                }
                if (thing.kind() != Thing.Kind.INLET) {
                    clearance = Math.min(clearance, apart);
                }
            } else if (foot.fixing() == Foot.Fixing.DRILLED
                    && Math.sqrt(dx * dx + dy * dy) - foot.holeMm() / 2000
                            < thing.kind().fromHoleM()) {
                return List.of();
            }
            boolean wantsPlane = foot.groundPlaneM() > foot.plateM();
            if (wantsPlane
                    && thing.kind().opensRoof()
                    && dx < foot.groundPlaneM() / 2 - e
                    && dy < foot.groundPlaneM() / 2 - e) {
                return List.of();
            }
        }
        double half = foot.groundPlaneM() / 2;
        boolean hasPlane = foot.groundPlaneM() <= foot.plateM()
                || roof.shell().isMetal()
                        && x >= half - e
                        && y >= half - e
                        && x <= roof.lengthM() - half + e
                        && y <= roof.widthM() - half + e;
        if (!hasPlane && foot.groundPlaneM() > 0) {
            return List.of();
        }
        Spot spot = new Spot(x, y);
        return List.of(new TriedPlace(
                spot,
                clearance < foot.clearanceM(),
                (long) Math.floor((Math.min(clearance, 2 * foot.clearanceM()) + 1e-9) / 0.05),
                Math.round(cabling.lossDb(spot) / 0.1),
                new Judge(roof, foot, cabling).shade(spot),
                Math.round(100 * Math.min(Math.min(x, roof.lengthM() - x), Math.min(y, roof.widthM() - y)))));
    }
}

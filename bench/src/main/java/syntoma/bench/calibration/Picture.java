package syntoma.bench.calibration;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A drawing of shares: a line for each thing, or steps over the rounds. Measured is solid, what is promised is hatched. */
final class Picture {
    private static final int WIDTH = 820;
    private static final int LEFT = 330;
    private static final int RIGHT = 60;
    private static final int ROW = 26;
    private static final int TOP = 34;
    private static final int STEPS_HEIGHT = 240;
    private static final String INK = "#1B2621";
    private static final String SECOND = "#56635C";
    private static final String GAIN = "#1F6B5C";
    private static final String LOSS = "#B4532A";

    private Picture() {}

    /**
     * One row.
     *
     * @param share 0 to 1
     * @param other whether it is what is compared with the rest
     */
    record Row(String says, double share, boolean other) {}

    /** Rows over an axis of percent, with what is promised shaded. */
    static String rows(List<Row> rows, double from, double to, double promisedFrom, double promisedTo) {
        int height = TOP + rows.size() * ROW + 30;
        List<String> drawn = new ArrayList<>();
        drawn.add(f(
                "<rect x='%.1f' y='%d' width='%.1f' height='%d' fill='url(#promised)'/>",
                x(promisedFrom, from, to),
                TOP - 8,
                x(promisedTo, from, to) - x(promisedFrom, from, to),
                rows.size() * ROW + 8));
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            int y = TOP + i * ROW + 8;
            double at = x(row.share, from, to);
            String colour = row.other ? LOSS : GAIN;
            drawn.add(text(LEFT - 12, y + 4, "end", INK, row.says));
            drawn.add(f("<line x1='%d' y1='%d' x2='%.1f' y2='%d' stroke='#D9D2C3'/>", LEFT, y, at, y));
            drawn.add(f("<rect x='%.1f' y='%d' width='6' height='14' fill='%s'/>", at - 3, y - 7, colour));
            drawn.add(text(at + 8, y + 4, "start", colour, percent(row.share)));
        }
        drawn.add(axis(from, to, height - 14));
        return svg(height, drawn);
    }

    private static String axis(double from, double to, int y) {
        StringBuilder ticks = new StringBuilder();
        for (int i = 0; i <= 4; i++) {
            double share = from + (to - from) * i / 4;
            ticks.append(text(x(share, from, to), y, "middle", SECOND, percent(share)));
        }
        return ticks.toString();
    }

    /** A curve of steps: the share by round. */
    record Steps(String says, List<Double> shares, boolean dashed) {}

    /** Shares of trials that are decided, over the rounds from the third on. */
    static String steps(List<Steps> all) {
        int height = TOP + STEPS_HEIGHT + 40;
        int most = all.stream().mapToInt(s -> s.shares.size()).max().orElseThrow();
        double across = (WIDTH - 90.0 - 200) / most;
        List<String> drawn = new ArrayList<>();
        for (int percent = 0; percent <= 100; percent += 25) {
            double y = TOP + STEPS_HEIGHT * (1 - percent / 100.0);
            drawn.add(f("<line x1='60' y1='%.1f' x2='%d' y2='%.1f' stroke='#D9D2C3'/>", y, WIDTH - 230, y));
            drawn.add(text(52, y + 4, "end", SECOND, percent + " %"));
        }
        for (int i = 0; i < most; i += 2) {
            drawn.add(
                    text(60 + (i + 0.5) * across, TOP + STEPS_HEIGHT + 20, "middle", SECOND, Integer.toString(i + 3)));
        }
        drawn.add(text(WIDTH - 225, TOP + STEPS_HEIGHT + 20, "start", SECOND, "rounds"));
        for (Steps steps : all) {
            StringBuilder path = new StringBuilder();
            for (int i = 0; i < steps.shares.size(); i++) {
                double y = TOP + STEPS_HEIGHT * (1 - steps.shares.get(i));
                path.append(f(
                        "%s%.1f %.1fH%.1f",
                        i == 0 ? "M" : "V" + f("%.1f", y) + "M", 60 + i * across, y, 60 + (i + 1) * across));
            }
            drawn.add(f(
                    "<path d='%s' fill='none' stroke='%s' stroke-width='2'%s/>",
                    path, GAIN, steps.dashed ? " stroke-dasharray='6 4'" : ""));
            double end = TOP + STEPS_HEIGHT * (1 - steps.shares.get(steps.shares.size() - 1));
            drawn.add(text(66 + steps.shares.size() * across, end + 4, "start", INK, steps.says));
        }
        return svg(height, drawn);
    }

    /** A point of a reliability diagram; the larger, the more there are. */
    record Point(double stated, double came, int count) {}

    /** What came true of what was stated; on the line they are equal, hatched is what is promised about 70 %. */
    static String reliability(List<Point> points, double promised) {
        int side = STEPS_HEIGHT + 120;
        int height = TOP + side + 44;
        double most = points.stream().mapToInt(Point::count).max().orElseThrow();
        List<String> drawn = new ArrayList<>();
        for (int percent = 0; percent <= 100; percent += 25) {
            double y = TOP + side * (1 - percent / 100.0);
            double x = 60 + side * percent / 100.0;
            drawn.add(f("<line x1='60' y1='%.1f' x2='%d' y2='%.1f' stroke='#D9D2C3'/>", y, 60 + side, y));
            drawn.add(text(52, y + 4, "end", SECOND, percent + " %"));
            drawn.add(text(x, TOP + side + 20, "middle", SECOND, percent + " %"));
        }
        drawn.add(f(
                "<rect x='%.1f' y='%.1f' width='%.1f' height='%.1f' fill='url(#promised)'/>",
                60 + side * 0.65, TOP + side * (1 - 0.7 - promised), side * 0.1, side * 2 * promised));
        drawn.add(f("<path d='M60 %d L%d %d' stroke='%s'/>", TOP + side, 60 + side, TOP, INK));
        for (Point point : points) {
            drawn.add(f(
                    "<circle cx='%.1f' cy='%.1f' r='%.1f' fill='%s'/>",
                    60 + side * point.stated,
                    TOP + side * (1 - point.came),
                    3 + 8 * Math.sqrt(point.count / most),
                    GAIN));
        }
        drawn.add(text(60 + side / 2.0, TOP + side + 38, "middle", SECOND, "stated"));
        drawn.add(text(66, TOP - 10, "start", SECOND, "came true"));
        return svg(height, drawn);
    }

    private static double x(double share, double from, double to) {
        return LEFT + (WIDTH - LEFT - RIGHT) * (share - from) / (to - from);
    }

    static String percent(double share) {
        return f("%.1f %%", 100 * share);
    }

    private static String text(double x, double y, String anchor, String colour, String says) {
        return f("<text x='%.1f' y='%.1f' text-anchor='%s' fill='%s'>%s</text>", x, y, anchor, colour, says);
    }

    private static String svg(int height, List<String> drawn) {
        return f(
                        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 %d %d' font-family='sans-serif' font-size='13'>"
                                + "<defs><pattern id='promised' width='6' height='6' patternUnits='userSpaceOnUse' "
                                + "patternTransform='rotate(45)'><line y2='6' stroke='#B58322' stroke-width='1.5' opacity='.5'/></pattern></defs>"
                                + "<rect width='%d' height='%d' fill='#FFFDF8'/>",
                        WIDTH, height, WIDTH, height)
                + String.join("\n", drawn)
                + "</svg>\n";
    }

    private static String f(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }
}

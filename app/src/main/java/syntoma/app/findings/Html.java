package syntoma.app.findings;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.web.util.HtmlUtils;
import syntoma.core.unit.Values;

/** Parts of the report’s page; every text that comes from the log is escaped here. */
final class Html {
    private static final int WIDTH = 420;
    private static final int ROW = 26;
    private static final int NAMES = 200;

    /** Marks of a scale to each side of nothing. */
    private static final int MOST_MARKS = 3;

    private final StringBuilder page = new StringBuilder(16_000);

    static String text(@Nullable String text) {
        return text == null ? "" : HtmlUtils.htmlEscape(text, "UTF-8");
    }

    Html raw(String markup) {
        page.append(markup);
        return this;
    }

    Html element(String name, @Nullable String text) {
        page.append('<')
                .append(name)
                .append('>')
                .append(text(text))
                .append("</")
                .append(name)
                .append(">\n");
        return this;
    }

    Html table(List<String> heads, List<List<String>> rows) {
        page.append("<table><thead><tr>");
        heads.forEach(h -> page.append("<th>").append(text(h)).append("</th>"));
        page.append("</tr></thead><tbody>\n");
        rows.forEach(row -> {
            page.append("<tr>");
            row.forEach(cell -> page.append("<td>").append(text(cell)).append("</td>"));
            page.append("</tr>\n");
        });
        page.append("</tbody></table>\n");
        return this;
    }

    /** A line of a chart: an estimate with its interval on the scale of a view. */
    record Line(String name, @Nullable Double estimate, @Nullable Double low, @Nullable Double high) {}

    /** Intervals about no difference: hatched, with a solid tick at the estimate; the numbers are beside them. */
    Html intervals(List<Line> lines, boolean ratio, double matters) {
        double most = lines.stream()
                .flatMap(l -> Stream.of(l.low, l.high, l.estimate))
                .filter(Objects::nonNull)
                .mapToDouble(v -> Math.abs(ratio ? Math.log(v) : v))
                .max()
                .orElse(1);
        double limit = Math.max(most * 1.1, ratio ? Math.log(2) : 6);
        int height = lines.size() * ROW + 24;
        page.append(String.format(
                Locale.ROOT,
                "<svg viewBox=\"0 0 %d %d\" width=\"%d\" role=\"img\" aria-label=\"Intervals, the same numbers as in the table\">\n",
                NAMES + WIDTH,
                height,
                NAMES + WIDTH));
        double margin = ratio ? Math.log(matters) : matters;
        rect(x(-margin, limit), 0, x(margin, limit) - x(-margin, limit), height - 20.0, "class=\"zone\"");
        page.append(String.format(
                Locale.ROOT,
                "<line x1=\"%1$.1f\" x2=\"%1$.1f\" y1=\"0\" y2=\"%2$d\" class=\"none\"/>",
                x(0, limit),
                height - 20));
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            double y = i * ROW + 4.0;
            page.append(String.format(Locale.ROOT, "<text x=\"0\" y=\"%.1f\">%s</text>", y + 13, text(line.name)));
            if (line.low != null && line.high != null) {
                double from = x(on(line.low, ratio), limit);
                rect(from, y + 3, Math.max(1, x(on(line.high, ratio), limit) - from), 11, "class=\"interval\"");
            }
            if (line.estimate == null) {
                page.append(
                        String.format(Locale.ROOT, "<text x=\"%d\" y=\"%.1f\">no estimate</text>", NAMES + 6, y + 13));
            } else {
                rect(
                        x(on(line.estimate, ratio), limit) - 2,
                        y,
                        4,
                        17,
                        line.low == null ? "class=\"open\"" : "class=\"tick\"");
            }
        }
        double step = step(limit, ratio);
        for (int i = (int) -Math.floor(limit / step); i * step <= limit; i++) {
            page.append(String.format(
                    Locale.ROOT,
                    "<text x=\"%.1f\" y=\"%d\" text-anchor=\"middle\">%s</text>",
                    x(i * step, limit),
                    height - 4,
                    (ratio ? "×" : "") + Values.format(toThousandths(ratio ? Math.exp(i * step) : i * step))));
        }
        page.append("</svg>\n");
        return this;
    }

    /** Values over time about nothing. */
    Html overTime(List<double[]> points, @Nullable Double change, double most) {
        double limit = Math.max(6, most);
        OptionalDouble first = points.stream().mapToDouble(p -> p[0]).min();
        OptionalDouble last = points.stream().mapToDouble(p -> p[0]).max();
        page.append(
                "<svg viewBox=\"0 0 560 90\" width=\"560\" role=\"img\" aria-label=\"The same numbers as in the table\">"
                        + "<line x1=\"0\" x2=\"520\" y1=\"45\" y2=\"45\" class=\"none\"/>");
        page.append("<text x=\"524\" y=\"10\">")
                .append(Values.round(limit, 0))
                .append(" dB</text><text x=\"524\" y=\"49\">0</text><text x=\"524\" y=\"88\">")
                .append(Values.round(-limit, 0))
                .append("</text>");
        double began = first.orElse(0);
        double span = Math.max(1, last.orElse(1) - began);
        if (change != null) {
            page.append(String.format(
                    Locale.ROOT,
                    "<line x1=\"%1$.1f\" x2=\"%1$.1f\" y1=\"0\" y2=\"90\" class=\"change\"/>",
                    4 + (change - began) / span * 505));
        }
        for (double[] p : points) {
            rect(5 + (p[0] - began) / span * 505, 42 - p[1] / limit * 38, 6, 6, "class=\"tick\"");
        }
        page.append("</svg>\n");
        return this;
    }

    /** Between two marks of a scale: a power of two of a ratio, otherwise one, two or five of a power of ten; few enough to be read. */
    private static double step(double limit, boolean ratio) {
        if (ratio) {
            return Math.log(2) * Math.ceil(limit / Math.log(2) / MOST_MARKS);
        }
        double ten = Math.pow(10, Math.floor(Math.log10(limit / MOST_MARKS)));
        return ten
                * DoubleStream.of(1, 2, 5, 10)
                        .filter(s -> s * ten * MOST_MARKS >= limit)
                        .findFirst()
                        .orElseThrow();
    }

    private static double toThousandths(double value) {
        return Math.round(value * 1_000) / 1_000.0;
    }

    private static double on(double value, boolean ratio) {
        return ratio ? Math.log(value) : value;
    }

    private static double x(double onScale, double limit) {
        return NAMES + 6 + (Math.max(-limit, Math.min(limit, onScale)) + limit) / (2 * limit) * (WIDTH - 12);
    }

    private void rect(double x, double y, double width, double height, String how) {
        page.append(String.format(
                Locale.ROOT,
                "<rect x=\"%.1f\" y=\"%.1f\" width=\"%.1f\" height=\"%.1f\" %s/>",
                x,
                y,
                width,
                height,
                how));
    }

    @Override
    public String toString() {
        return page.toString();
    }
}

package syntoma.app.trial;

import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;

/** A verdict as one page of HTML that needs nothing else: to print, to send, to keep. */
final class VerdictPage {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final int WIDTH = 300;
    private static final int HEIGHT = 26;

    private static final String STYLE =
            """
            body{font:16px/1.5 Georgia,serif;color:#1B2621;background:#FFFDF8;max-width:760px;margin:32px auto;padding:0 16px}
            h1{font:700 26px/1.25 sans-serif;margin:0 0 8px}h2{font:600 17px/1.3 sans-serif;margin:26px 0 6px}
            p{margin:6px 0}.small{color:#56635C;font-size:14px}table{border-collapse:collapse;width:100%;font-size:14px}
            td,th{border-bottom:1px solid #D9D2C3;padding:5px 8px 5px 0;text-align:left;vertical-align:top}
            td.n,th.n{text-align:right;font-variant-numeric:tabular-nums}.do{border-left:3px solid #1F6B5C;padding-left:12px}
            @media print{body{margin:0}}
            """;

    private final StringBuilder html = new StringBuilder();

    private VerdictPage() {}

    static String of(ResultView view) {
        VerdictPage page = new VerdictPage();
        page.write(view);
        return page.html.toString();
    }

    private void write(ResultView view) {
        String title = view.trial() == null ? view.campsite() : view.trial() + ", " + view.campsite();
        html.append("<!doctype html><html lang=\"en\"><head><meta charset=\"utf-8\"><meta name=\"viewport\" "
                + "content=\"width=device-width\"><title>");
        html.append(escaped(title)).append("</title><style>").append(STYLE).append("</style></head><body>");
        html.append("<p class=\"small\">")
                .append(escaped(title + " · " + String.join(", ", view.carriers()) + " · " + period(view)))
                .append("</p>");
        if (view.grid() != null) {
            view.grid().figures().forEach(figure -> element("p", "do", figure.label() + ": " + figure.sentence()));
        }
        view.contrasts().forEach(this::contrast);
        if (view.need() != null) {
            element("h2", "", "Enough for " + view.need());
            view.met().stream()
                    .filter(m -> m.runs() > 0)
                    .forEach(m -> element("p", "", m.setup().name() + ": in " + m.met() + " of " + m.runs() + " runs"));
        }
        element(
                "p",
                "small",
                "Made with Syntoma. A measured interval is drawn hatched, with a tick at the estimate;"
                        + " shaded is what makes no difference that matters.");
        html.append("</body></html>\n");
    }

    private static String period(ResultView view) {
        OffsetDateTime from = view.from();
        return WHEN.format(from) + " to " + WHEN.format(view.to()) + " · " + view.rounds()
                + (view.plannedRounds() == null ? " rounds" : " of " + view.plannedRounds() + " rounds planned");
    }

    private void contrast(ResultView.Contrast contrast) {
        html.append("<h1>").append(escaped(contrast.headline())).append("</h1>");
        element("p", "do", contrast.action());
        element(
                "h2",
                "",
                contrast.candidate().name() + " against " + contrast.baseline().name());
        html.append("<table>");
        contrast.effects().stream().filter(e -> e.result().estimate() != null).forEach(e -> html.append("<tr><td>")
                .append(escaped(e.label()))
                .append("</td><td>")
                .append(interval(e))
                .append("</td><td>")
                .append(escaped(e.result().sentence()))
                .append("</td></tr>"));
        html.append("</table>");
        contrast.effects().stream()
                .filter(e -> !e.rounds().isEmpty())
                .findFirst()
                .ifPresent(e -> rounds(contrast, e));
        contrast.bands()
                .forEach(band -> element("p", "small", "RSRP on " + band.band() + ": " + band.sentence() + "."));
        if (!contrast.causes().isEmpty()) {
            element("p", "", contrast.causes());
        }
        List<String> notes = contrast.cautions();
        if (!notes.isEmpty()) {
            element("h2", "", "What could still be wrong");
            notes.forEach(note -> element("p", "", note));
        }
        element("h2", "", "How it was judged");
        contrast.judged().forEach(note -> element("p", "small", note));
    }

    private void rounds(ResultView.Contrast contrast, ResultView.Effect effect) {
        element("h2", "", effect.label() + ", round by round");
        html.append("<table><tr><th>Round</th><th class=\"n\">")
                .append(escaped(contrast.baseline().name() + ", " + effect.unit()))
                .append("</th><th class=\"n\">")
                .append(escaped(contrast.candidate().name() + ", " + effect.unit()))
                .append("</th><th></th></tr>");
        html.append(effect.rounds().stream()
                .map(r -> "<tr><td>" + r.number() + "</td><td class=\"n\">" + number(r.baseline())
                        + "</td><td class=\"n\">" + number(r.candidate()) + "</td><td>"
                        + (r.wild() ? "stands out" : "") + "</td></tr>")
                .collect(Collectors.joining()));
        html.append("</table>");
    }

    /** Estimate and interval on the scale of the computation, with what matters shaded. */
    private static String interval(ResultView.Effect effect) {
        CompareResult r = effect.result();
        boolean ratio = r.scale().equals("ratio");
        double zero = ratio ? 1 : 0;
        double low = r.low() == null ? r.estimate() : r.low();
        double high = r.high() == null ? r.estimate() : r.high();
        double far = Math.max(
                1.2 * Math.abs(on(effect.margin(), ratio)),
                1.15 * Math.max(Math.abs(on(low, ratio)), Math.abs(on(high, ratio))));
        double marginX = x(on(effect.margin(), ratio), far) - x(0, far);
        return String.format(
                Locale.ROOT,
                "<svg width='%d' height='%d' role='img' aria-label='%s'><defs><pattern id='h' width='5' height='5' "
                        + "patternUnits='userSpaceOnUse' patternTransform='rotate(45)'><line y2='5' stroke='#1F6B5C' "
                        + "stroke-width='2'/></pattern></defs><rect x='%.1f' y='2' width='%.1f' height='22' fill='#EFE9DC'/>"
                        + "<line x1='%.1f' x2='%.1f' y1='2' y2='24' stroke='#56635C'/><rect x='%.1f' y='9' width='%.1f' "
                        + "height='8' fill='url(#h)'/><line x1='%.1f' x2='%.1f' y1='4' y2='22' stroke='#1B2621' "
                        + "stroke-width='3'/></svg>",
                WIDTH,
                HEIGHT,
                escaped(effect.label()),
                x(0, far) - marginX,
                2 * marginX,
                x(on(zero, ratio), far),
                x(on(zero, ratio), far),
                x(on(low, ratio), far),
                x(on(high, ratio), far) - x(on(low, ratio), far),
                x(on(r.estimate(), ratio), far),
                x(on(r.estimate(), ratio), far));
    }

    private static double on(double value, boolean ratio) {
        return ratio ? Math.log(value) : value;
    }

    private static double x(double value, double far) {
        return WIDTH / 2.0 * (1 + value / far);
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, value < 10 ? "%.2f" : "%.1f", value);
    }

    private void element(String name, String css, String text) {
        html.append('<').append(name);
        if (!css.isEmpty()) {
            html.append(" class=\"").append(css).append('"');
        }
        html.append('>').append(escaped(text)).append("</").append(name).append('>');
    }

    private static String escaped(String text) {
        return HtmlUtils.htmlEscape(text, "UTF-8");
    }
}

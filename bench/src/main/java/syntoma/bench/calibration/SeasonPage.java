package syntoma.bench.calibration;

import java.util.Locale;

/** The part of {@code docs/calibration.md} about tonight's advice. */
final class SeasonPage {
    private static final int SEASONS = 20;
    private static final int STAYS = 40;

    /** Of what is called 70 %, 62 to 78 % are promised to come true. */
    private static final double PROMISED = 0.08;

    private final Seasons seasons;

    private SeasonPage(Seasons seasons) {
        this.seasons = seasons;
    }

    static SeasonPage made(long seed) {
        System.out.println("seasons of advice");
        return new SeasonPage(Seasons.of(SEASONS, STAYS, seed));
    }

    String picture() {
        return Picture.reliability(
                seasons.bins().stream()
                        .map(b -> new Picture.Point(b.stated(), b.came(), b.count()))
                        .toList(),
                PROMISED);
    }

    String text() {
        StringBuilder text = new StringBuilder("\n# How often advice is right\n\n");
        text.append(String.format(
                Locale.ROOT,
                "%d seasons of %d stays each (%d stays), every one in a landscape drawn by lot: three carriers, masts nearer or"
                        + " farther, in sight or among trees, busy by the hour. On arrival a phone is looked at, advice is asked for"
                        + " one of the built-in needs, followed, and logged with a few other runs; a day later it is asked again."
                        + " Three stays in ten are returns. The advice has nothing but what was logged so far; what each of the 12"
                        + " options would have brought at that moment is known to the world.%n%n",
                SEASONS,
                STAYS,
                seasons.stays()));
        text.append("| stated, from – to | options | mean of what was stated | came true |\n|---|---|---|---|\n");
        int from = 0;
        for (Seasons.Bin bin : seasons.bins()) {
            text.append(String.format(
                    Locale.ROOT,
                    "| %d – %d %% | %,d | %s | %s |%n",
                    from,
                    from + 10,
                    bin.count(),
                    Picture.percent(bin.stated()),
                    Picture.percent(bin.came())));
            from += 10;
        }
        text.append(String.format(
                Locale.ROOT,
                "%n![](calibration/advice.svg)%n%nOf what is called 70 %% (65 to 75), %s came true; promised are 62 to 78 %%,"
                        + " hatched. The larger a point, the more options it stands for.%n%n",
                Picture.percent(seasons.ofSeventy())));
        text.append(String.format(
                Locale.ROOT,
                "After the first %d stays the first choice falls short of the one that an all-knowing adviser would take by %s of"
                        + " what the need asks, on average (promised: at most 8 %%). Whoever always takes the setup and carrier"
                        + " whose plain average over the log is best falls short by %s.%n",
                Seasons.LEARNED,
                Picture.percent(seasons.regret()),
                Picture.percent(seasons.plainRegret())));
        return text.toString();
    }
}

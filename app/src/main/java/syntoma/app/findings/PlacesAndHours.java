package syntoma.app.findings;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import syntoma.app.campsite.Campsites;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.HoursOfDay;
import syntoma.core.finding.NeedByPlace;
import syntoma.core.unit.Text;

/** Where and when it was good and bad, whatever was used. */
@Component
class PlacesAndHours {
    private final FindingsService findings;
    private final Selecting selecting;
    private final Campsites campsites;

    PlacesAndHours(FindingsService findings, Selecting selecting, Campsites campsites) {
        this.findings = findings;
        this.selecting = selecting;
        this.campsites = campsites;
    }

    /** The best and the worst campsite, in a sentence. */
    String best() {
        TripLog.Snapshot log = selecting.log();
        double[] met = selecting.metPercent(log);
        Map<Integer, int[]> counts = new TreeMap<>();
        for (int i = 0; i < log.size(); i++) {
            int place = log.at(i);
            if (!Double.isNaN(met[place])) {
                int[] own = counts.computeIfAbsent(log.columns().campsite(place), c -> new int[2]);
                own[0]++;
                own[1] += met[place] > 0 ? 1 : 0;
            }
        }
        Map<Long, String> names = campsites.names();
        List<NeedByPlace> places = new ArrayList<>();
        counts.forEach((campsite, own) ->
                places.add(new NeedByPlace(names.getOrDefault((long) campsite, ""), own[0], own[1])));
        return NeedByPlace.best(places, findings.needName());
    }

    /** The slowest hours, in a sentence. */
    String slowest(Criterion rate) {
        Selecting.Selection all = selecting.select(ComparedKind.SETUPS, rate, FindingsFilter.ALL);
        return HoursOfDay.slowest(
                all.trip(), rate, i -> all.log().columns().hour(all.trip().places()[i]));
    }

    /** How a setup that never got through did, and what others did at the same places. */
    String whereItFailed(String setup, int failed) {
        Selecting.Selection all = selecting.select(ComparedKind.SETUPS, findings.criterion(null), FindingsFilter.ALL);
        int unit = all.names().indexOf(setup);
        TripSelection trip = all.trip();
        double[] met = selecting.metPercent(all.log());
        Set<Long> stays = new HashSet<>();
        for (int i = 0; i < trip.size(); i++) {
            if (trip.unit(i) == unit) {
                stays.add(trip.stay(i));
            }
        }
        int others = 0;
        int othersMet = 0;
        for (int i = 0; i < trip.size(); i++) {
            double value = met[trip.places()[i]];
            if (trip.unit(i) != unit && stays.contains(trip.stay(i)) && !Double.isNaN(value)) {
                others++;
                othersMet += value > 0 ? 1 : 0;
            }
        }
        String beside = others == 0
                ? ""
                : " Other setups met " + findings.needName() + " there in " + othersMet + " of "
                        + Text.count(others, "run") + ".";
        return "0 of " + Text.count(failed, "run") + " got through, at " + Text.count(stays.size(), "stay") + "."
                + beside + (stays.size() < FEW ? " Too little to judge it by." : "");
    }

    /** Under so many stays nothing is said for good. */
    private static final int FEW = 4;
}

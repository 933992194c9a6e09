package syntoma.core.fit;

import java.util.List;

/** One thing that goes wrong with rigs, and how to see it in a chain. Where a sheet does not say, a rule stays silent. */
interface FitRule {
    List<FitFinding> check(FitCase fit);
}

package syntoma.app.gear;

import java.util.List;
import java.util.Map;

/** Where gear is used; answered by what uses it. */
public interface GearUse {
    /** The names of the setups that hold each piece of gear in any of their revisions, by its number. */
    Map<Long, List<String>> setups();

    /** The names of the setups that something was measured with while they held a piece as it is on the shelf. */
    List<String> setupsMeasuredWith(long gear);

    /**
     * Another part takes the place of a piece: what was measured so far keeps its sheet, and the setups that hold it go on
     * with their next revision.
     */
    void onReplace(GearItem before);
}

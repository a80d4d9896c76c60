package vividroster.server.hearing;

import java.util.List;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outlook;

/**
 * What the next tries would mean, so that a device can show it before the server has answered.
 *
 * @param passes the shortest rows of tries that make the pass, "G" a good one and "N" another; one empty row when the
 *     pass is there already
 * @param counting which evidence makes the pass
 */
public record OutlookView(List<String> passes, List<Evidence> counting, int triesAVisit) {

    public static OutlookView of(Outlook outlook) {
        return new OutlookView(
                outlook.passes(), outlook.counting().stream().sorted().toList(), outlook.triesAVisit());
    }
}

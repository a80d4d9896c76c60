package vividroster.server.partners;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.PartnerPairs;

/**
 * A partner check that was set up.
 *
 * @param watch three or four visible things
 * @param measures by section and division; empty where all watch the same
 */
record PartnerCheck(
        UUID id,
        UUID classId,
        UUID milestoneId,
        LocalDate heldOn,
        Pairing pairing,
        List<String> watch,
        List<Measures> measures,
        List<PartnerPairs.Group> groups) {

    enum Pairing {
        STAND,
        LISTS,
        FAIR
    }

    /**
     * @param division empty for the whole section
     * @param first printed measure, from 1
     * @param last inclusive
     */
    record Measures(InstrumentCode instrument, String division, int first, int last) {}
}

package vividroster.server.checks;

import vividroster.core.curriculum.Caution;

/** The usual cautions in a sentence each; local rules and licensed practice go before them. */
final class CautionWording {

    private CautionWording() {}

    static String sentence(Caution caution) {
        return switch (caution) {
            case PAIN ->
                "Pain, numbness or tingling: stop playing and tell a parent or guardian; if it stays, a doctor or"
                        + " therapist.";
            case OVERUSE -> "Tension that stays leads to overuse: rest, release, then go on.";
            case DIZZY -> "Light-headed: stop, sit and breathe normally.";
            case SHARED_MOUTHPIECES ->
                "Mouthpieces, reeds and head joints are disinfected between players or not shared; follow your school's"
                        + " health rules.";
            case JAMMED_PARTS -> "A part that jams goes to the director, never to pliers.";
            case STRING_PARTS -> "Pegs, fine tuners and bridge are the director's or a technician's.";
            case HEAVY -> "Heavy: strap, stand or chair carries it, not the child.";
            case STRAP -> "A strap that hurts the neck is changed or replaced by a harness.";
            case FIT -> "It must fit the child; look again as they grow.";
            case HEARING -> "Loud: hearing protection and distance; follow local limits.";
        };
    }
}

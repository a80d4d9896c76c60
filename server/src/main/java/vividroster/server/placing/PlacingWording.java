package vividroster.server.placing;

import java.math.BigDecimal;
import vividroster.core.instrument.Instrument;
import vividroster.core.placing.PlacingOption;
import vividroster.core.placing.PlacingOption.Remark;

/** What is to be kept in mind of an option, in a sentence. */
final class PlacingWording {

    private PlacingWording() {}

    static String of(Remark remark, Instrument instrument) {
        return switch (remark) {
            case NOT_A_FAIR_TRIAL -> "Too few trials yet: three, spread over a week or more, make a fair one.";
            case STAYS_STRAINED ->
                "Sound or response stays strained after a fair trial: a larger mouthpiece for a moment, then the own one"
                        + " again.";
            case BACK_TO_THE_OWN_MOUTHPIECE -> "Back to the own mouthpiece now, and try again.";
            case LARGER_DID_NOT_HELP ->
                "The larger mouthpiece did not carry over to the own one; another instrument may suit better.";
            case SHORT_ARMS ->
                instrument.code().value().equals("trumpet")
                        ? "Arms are short for it: a cornet brings the weight nearer, or an adapted grip."
                        : "Arms are short for it, or it was hard to reach: a smaller size, a stand or an adapted grip.";
            case NEEDS_SUPPORT ->
                "About "
                        + BigDecimal.valueOf(PlacingOption.carriedKg(instrument.code())
                                        .orElseThrow())
                                .stripTrailingZeros()
                                .toPlainString()
                        + " kg: strap, harness, stand or chair carry it from the first day, not the hands.";
            case SECTION_FULL -> "The section has as many as are wanted.";
            case SECTION_SHORT -> "The section is short of players.";
            case WISHED -> "The student wants it very much.";
            case UNCOMFORTABLE ->
                "It was uncomfortable: look at hold, weight and support before it is tried again; stop where it hurts.";
        };
    }
}

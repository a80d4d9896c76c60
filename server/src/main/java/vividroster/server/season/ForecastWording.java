package vividroster.server.season;

import java.util.Locale;
import vividroster.core.plan.Forecast;
import vividroster.server.season.SectionForecasts.Of;

/** A forecast in a sentence, with its width. */
final class ForecastWording {

    private ForecastWording() {}

    static String sentence(Of of) {
        Forecast forecast = of.forecast();
        if (forecast.need() == 0) {
            return "They have it: enough of them passed every line.";
        }
        String when = of.lastDay(forecast.middle())
                .map(middle -> of.lastDay(forecast.high())
                        .map(high -> "Between "
                                + PlanSentences.day(of.lastDay(forecast.low()).orElse(middle))
                                + " and " + PlanSentences.day(high) + ", most likely " + PlanSentences.day(middle)
                                + ".")
                        .orElseGet(() -> "From "
                                + PlanSentences.day(of.lastDay(forecast.low()).orElse(middle))
                                + ", most likely " + PlanSentences.day(middle) + "; perhaps not this year."))
                .orElseGet(() -> of.lastDay(forecast.low())
                        .map(low -> "Hardly this year; with luck from " + PlanSentences.day(low) + ".")
                        .orElse("Not this year."));
        return of.pace().weeksHeard() < Forecast.FIRST_MONTH
                ? when + " Few weeks are known; it rests mostly on the plan."
                : when;
    }

    /** "4 in 10". */
    static String chance(int percent) {
        if (percent >= 97) {
            return "nearly certain";
        }
        return percent < 3 ? "hardly a chance" : Math.max(1, Math.round(percent / 10.0)) + " in 10";
    }

    static double lines(double perWeek) {
        return Double.parseDouble(String.format(Locale.ROOT, "%.1f", perWeek));
    }
}

package app.etlo.core.advice;

import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Stand;
import app.etlo.core.termination.StandForecast;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is typed or weighed of a stand lies far from what is simulated: one of the two is wrong. */
final class StandFarFromForecast extends Judgement {
    /** Contents of nitrogen this many times apart are of another stand. */
    private static final double APART = 1.5;

    StandFarFromForecast() {
        super(
                "stand-far-from-forecast",
                Weight.THINK,
                Step.END,
                "a stand typed or weighed lies outside the band of the simulation, or its nitrogen content is 1.5 times apart",
                Source.own("the band of the weather years and the simulation's own error"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.stand().flatMap(st -> c.ending().forecast().flatMap(f -> judge(s, c, st, f))).stream());
    }

    private Optional<Note> judge(Situation s, Situation.Cover c, Stand stand, StandForecast forecast) {
        Figure mass = stand.biomass();
        double said = mass.in(Unit.KG_PER_HA);
        boolean massApart = said < forecast.mass().value().low()
                || said > forecast.mass().value().high();
        double ratio =
                stand.nitrogenPercent().middle() / forecast.nitrogenPercent().middle();
        if (!massApart && ratio < APART && ratio > 1 / APART) {
            return Optional.empty();
        }
        String typed = s.say(said, Unit.KG_PER_HA) + " at " + percent(stand.nitrogenPercent());
        String simulated = s.say(forecast.mass().value().low(), Unit.KG_PER_HA) + " to "
                + s.say(forecast.mass().value().high(), Unit.KG_PER_HA) + " at " + percent(forecast.nitrogenPercent());
        return Optional.of(note(
                c.id(),
                c.end().map(e -> e.date()),
                (stand.isWeighed() ? "Weighed" : "Typed") + " as what stands: " + typed + ". Simulated without it: "
                        + simulated + ". "
                        + (stand.isWeighed()
                                ? "What is weighed counts; look again at the frame, the dry matter and weeds among the cuts."
                                : "What is typed counts, for the credit too: weigh it, or take what is simulated."),
                List.of("stand " + typed, "simulated " + simulated),
                stand.isWeighed() ? "more cuts" : "cuts from a quadrat"));
    }

    private static String percent(Figure n) {
        return Shown.text(n.middle(), Unit.PERCENT) + " % N";
    }
}

package app.etlo.core.advice;

import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What the mix is forecast to come to, checks in the field included, leaves a ranked aim below what can be noticed. */
final class AimOutOfReach extends Judgement {
    /** Of what serves an aim little or much in another direction nothing is said here. */
    private static final List<String> SILENT = List.of("manage-water");

    AimOutOfReach() {
        super(
                "aim-out-of-reach",
                Weight.THINK,
                Step.AIMS,
                "the mix as forecast gives a ranked aim less than can be noticed",
                AimDelivery.USEFUL,
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream().flatMap(c -> c.outlook().stream().flatMap(o -> of(s, c, o)));
    }

    private Stream<Note> of(Situation s, Situation.Cover c, MixOutlook outlook) {
        return outlook.aims().entrySet().stream()
                .filter(a -> AimDelivery.measures(a.getKey()) && !SILENT.contains(a.getKey()))
                .filter(a ->
                        a.getValue().middle() < AimDelivery.useful(a.getKey()).some())
                .map(a -> note(s, c, a.getKey(), a.getValue()));
    }

    private Note note(Situation s, Situation.Cover c, String aim, Figure gives) {
        Unit unit = AimDelivery.unit(aim);
        String given = s.say(Math.max(0, gives.in(unit)), unit);
        AimDelivery.Useful useful = AimDelivery.useful(aim);
        return note(
                c.id() + "/" + aim,
                Optional.empty(),
                AimDelivery.label(aim) + ": this mix is forecast to give " + given + ". From about "
                        + s.sayRound(useful.some(), unit) + " on it is noticed, from " + s.sayRound(useful.well(), unit)
                        + " counted on. Another mix or other dates may reach it; else it is no aim of this cover.",
                List.of("forecast " + given),
                "a mix or dates that reach it, or another aim");
    }
}

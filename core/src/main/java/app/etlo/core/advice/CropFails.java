package app.etlo.core.advice;

import app.etlo.core.ground.CropFailure;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** The simulation does not bring a crop to a harvest: something of the plan, or the simulation, is wrong. */
final class CropFails extends Judgement {
    CropFails() {
        super(
                "crop-fails",
                Weight.THINK,
                Step.ROTATION,
                "the simulation brings a crop to under 0.4 of the dry tops that its lowest usual yield stands on",
                Source.own("the ground simulation: docs/simulation.md"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .flatMap(c -> Stream.ofNullable(s.failing().get(c.id())).map(f -> fails(s, c, f)));
    }

    private Note fails(Situation s, CropInTime c, CropFailure f) {
        String tops = s.say(f.tHa(), Unit.T_PER_HA);
        return note(
                c.id(),
                c.planted(),
                c.crop().name() + " comes to " + tops
                        + " of dry tops in the simulation, where its lowest usual yield stands on "
                        + s.sayRound(f.leastTHa(), Unit.T_PER_HA) + ". " + because(s, f),
                List.of("simulated " + tops),
                wouldChange(f));
    }

    private static String because(Situation s, CropFailure f) {
        return switch (f.cause()) {
            case COVER_ALIVE ->
                "A month after planting about " + s.sayRound(f.value(), Unit.KG_PER_HA)
                        + " of the cover still live beside it and take its light, water and nitrogen.";
            case NOT_UP ->
                "It does not come up in most years: the seed zone stays too dry or too cold for it after these days.";
            case NO_WATER ->
                "While it grows the soil comes down to " + s.say(f.value(), Unit.MILLIMETRE)
                        + " that its roots could draw: the rain is not enough, or what stood before it took the water.";
            case FROST -> "Frost ends it before it is ripe in most years.";
            case OTHER ->
                "Look at its dates, warmth and nitrogen; where they are right, the simulation is not, and its figures for"
                        + " this crop are no guide.";
        };
    }

    private static String wouldChange(CropFailure f) {
        return switch (f.cause()) {
            case COVER_ALIVE -> "an end that kills the cover, or a second pass";
            case NOT_UP -> "watering, or another day";
            case NO_WATER -> "an earlier end of the cover, or watering";
            case FROST -> "an earlier planting or a faster crop";
            case OTHER -> "other dates, or nitrogen fed";
        };
    }
}

package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** Seed that is laid into cold soil. */
final class SeedbedCold extends Judgement {
    private static final double MANY_PERCENT = 30;

    SeedbedCold() {
        super(
                "seedbed-cold",
                Weight.THINK,
                Step.SOW,
                "the soil of the sowing date is too cold for a species in over 3 years of 10",
                Source.commonPractice(
                        "seed waits in cold soil and rots or is eaten; germination temperatures of handbooks"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        // frost seeding is meant for cold ground
        return s.covers().stream()
                .filter(c ->
                        c.window().map(w -> w.kind() != WindowKind.FROST_SEEDED).orElse(true))
                .flatMap(c -> c.seedbed().stream()
                        .flatMap(b -> c.components().stream()
                                .filter(x -> b.coldPercent()
                                                .containsKey(x.species().id())
                                        && b.coldPercent().get(x.species().id()).middle() > MANY_PERCENT)
                                .map(x -> cold(s, c, x.species(), b))));
    }

    private Note cold(Situation s, Situation.Cover c, Species species, Seedbed b) {
        String share = Situation.yearsIn10(b.coldPercent().get(species.id()).middle());
        boolean sownAlready = c.sown().filter(d -> d.isBefore(s.asOf())).isPresent();
        return note(
                c.id() + "/" + species.id(),
                c.sown(),
                species.name() + " wants soil of "
                        + s.sayRound(species.growth().minSoilC(), Unit.CELSIUS)
                        + (sownAlready
                                ? "; it was colder on this day."
                                : "; on this day it is colder in " + share + "."),
                List.of("soil too cold in " + share),
                "a day with warmer soil, or a hardier species");
    }
}

package app.etlo.core.advice;

import app.etlo.core.mix.Component;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A legume whose lot does not come inoculated. */
final class LegumeWithoutInoculant extends Judgement {
    LegumeWithoutInoculant() {
        super(
                "legume-without-inoculant",
                Weight.THINK,
                Step.SOW,
                "a legume's lot is not inoculated and no inoculant is planned for its group, or it is left out on purpose where the field is not known to have grown the group",
                Source.commonPractice("inoculate each legume with the rhizobium of its own group"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.components().stream()
                        .filter(k -> k.species().inoculant().isPresent())
                        .filter(k -> k.lot().map(l -> !l.inoculated()).orElse(false))
                        .filter(k -> !answered(c, group(k)))
                        .map(k -> note(
                                        c.id() + "/" + k.species().id(),
                                        c.sown(),
                                        k.species().name()
                                                + " has no inoculant planned. Where its rhizobium is not in the soil it fixes"
                                                + " no nitrogen: use the " + group(k)
                                                + " group, mixed in on the day of sowing."
                                                + grown(c, group(k)),
                                        List.of("lot "
                                                + k.lot().map(SeedLot::id).orElseThrow() + " not inoculated"),
                                        "a lot marked inoculated, or inoculant planned in the step Sow, of the "
                                                + group(k) + " group")
                                .asking(
                                        MissingFact.Kind.INOCULATED,
                                        k.lot().map(SeedLot::id).orElseThrow())));
    }

    /** Inoculant is planned; left out on purpose is an answer only where the field grew the group lately. */
    private static boolean answered(Situation.Cover c, String group) {
        Situation.Rhizobia known = c.use().rhizobia();
        return Optional.ofNullable(known.planned().get(group))
                .filter(u -> !u.notNeeded() || known.grown().containsKey(group))
                .isPresent();
    }

    private static String grown(Situation.Cover c, String group) {
        return Optional.ofNullable(c.use().rhizobia().grown().get(group))
                .map(g -> " The field grew " + g
                        + " of this group; where that had pink nodules its rhizobium may still live, and"
                        + " fresh inoculant is a cheap insurance.")
                .orElse(" The field is not known to have grown this group in the last four years.");
    }

    private static String group(Component k) {
        return k.species().inoculant().orElseThrow();
    }
}

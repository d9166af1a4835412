package app.etlo.core.advice;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Species;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A cover species whose seed would stand in a crop that is grown for seed. */
final class ContaminatesSeedCrop extends Judgement {
    private static final int YEARS = 3;
    /** Seed that cannot be cleaned out of small grain, or volunteers in it. */
    private static final Set<String> IN_GRAIN = Set.of(
            "hairy-vetch",
            "woollypod-vetch",
            "common-vetch",
            "annual-ryegrass",
            "daikon-radish",
            "oilseed-radish",
            "buckwheat",
            "cereal-rye",
            "winter-triticale",
            "black-oats");

    ContaminatesSeedCrop() {
        super(
                "contaminates-seed-crop",
                Weight.STOP,
                Step.MIX,
                "a cover species is of the genus of a crop grown for seed in the three years after it, or its seed cannot be cleaned out of"
                        + " a grain grown for seed",
                Source.commonPractice("seed crops: rules of certifying agencies on previous land use and purity"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> s.crops().stream()
                        .filter(k -> k.forSeed() && after(c, k))
                        .flatMap(k -> c.components().stream()
                                .map(p -> p.species())
                                .filter(p -> contaminates(p, k.crop()))
                                .map(p -> speak(c, p, k))));
    }

    private static boolean after(Situation.Cover c, CropInTime k) {
        Optional<LocalDate> sown = c.sown();
        return sown.isPresent()
                && k.planted()
                        .filter(d ->
                                d.isAfter(sown.get()) && d.isBefore(sown.get().plusYears(YEARS)))
                        .isPresent();
    }

    private static boolean contaminates(Species p, Crop k) {
        boolean kin = p.botanical().split(" ")[0].equals(k.botanical().split(" ")[0]);
        return kin || k.family().equals("Poaceae") && IN_GRAIN.contains(p.id());
    }

    private Note speak(Situation.Cover c, Species p, CropInTime k) {
        return note(
                c.id() + "/" + p.id(),
                c.sown(),
                p.name() + " ahead of " + k.crop().name().toLowerCase(Locale.ROOT)
                        + " that is grown for seed: one plant that volunteers or crosses takes the whole lot out of"
                        + " certification. The agency's rule on previous land use decides.",
                List.of(p.id() + " before " + k.crop().id() + " for seed"),
                "a species that neither volunteers in it nor crosses with it");
    }
}

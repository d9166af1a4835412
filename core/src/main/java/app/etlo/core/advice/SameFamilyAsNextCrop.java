package app.etlo.core.advice;

import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/**
 * A cover species of the family of the crop that follows it. A cereal ahead of corn is common and works with the gap and
 * the nitrogen right, so grass ahead of grass is not spoken of here.
 */
final class SameFamilyAsNextCrop extends Judgement {
    SameFamilyAsNextCrop() {
        super(
                "same-family-as-next-crop",
                Weight.THINK,
                Step.MIX,
                "a broadleaf species of the mix shares its family with the next crop (grasses ahead of grasses are left out, and legumes ahead of soybean, which have a note of their own)",
                Source.commonPractice("green bridge of pests and diseases within a plant family"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> !LegumeBeforeSoybean.isSoybean(c))
                .flatMap(c -> c.next().stream()
                        .flatMap(next -> c.components().stream()
                                .map(k -> k.species())
                                .filter(p -> p.family().equals(next.crop().family())
                                        && !p.family().equals("Poaceae"))
                                .map(p -> speak(c, p, next.crop().name()))));
    }

    private Note speak(Situation.Cover c, Species p, String crop) {
        return note(
                c.id() + "/" + p.id(),
                c.end().map(e -> e.date()),
                p.name() + " and " + crop + " are both " + p.family()
                        + ": the cover can carry pests and diseases into the crop.",
                List.of(p.id() + " before " + crop),
                "a species of another family, or field history that shows none of their shared diseases");
    }
}

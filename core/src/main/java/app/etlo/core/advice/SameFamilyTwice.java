package app.etlo.core.advice;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A crop follows another of its plant family. */
final class SameFamilyTwice extends Judgement {
    SameFamilyTwice() {
        super(
                "same-family-twice",
                Weight.TIP,
                Step.ROTATION,
                "a crop follows another of its plant family and season",
                Source.commonPractice("crop rotation against pests and diseases of one family"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return IntStream.range(1, s.crops().size())
                .mapToObj(i -> pair(s.crops().get(i - 1), s.crops().get(i)))
                .flatMap(Optional::stream);
    }

    private Optional<Note> pair(CropInTime first, CropInTime second) {
        boolean family = first.crop().family().equals(second.crop().family())
                && first.crop().growing().warm() == second.crop().growing().warm()
                && !first.crop().id().equals(second.crop().id());
        return family
                ? Optional.of(note(
                        second.id(),
                        second.planted(),
                        second.crop().name() + " follows " + first.crop().name().toLowerCase(Locale.ROOT) + ", both "
                                + first.crop().family() + ". Look at the diseases they share.",
                        List.of(first.crop().id() + " before " + second.crop().id()),
                        "a crop of another family between the two"))
                : Optional.empty();
    }
}

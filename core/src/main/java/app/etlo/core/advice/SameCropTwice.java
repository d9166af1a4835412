package app.etlo.core.advice;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** An annual crop follows itself. */
final class SameCropTwice extends Judgement {
    SameCropTwice() {
        super(
                "same-crop-twice",
                Weight.THINK,
                Step.ROTATION,
                "an annual crop follows itself",
                Source.commonPractice("crop rotation against pests, diseases and weeds of one crop"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return IntStream.range(1, s.crops().size())
                .mapToObj(i -> pair(s.crops().get(i - 1), s.crops().get(i)))
                .flatMap(Optional::stream);
    }

    private Optional<Note> pair(CropInTime first, CropInTime second) {
        boolean same = first.crop().id().equals(second.crop().id())
                && !first.crop().growing().isPerennial();
        String pests = String.join(", ", first.crop().growing().sharedPests());
        return same
                ? Optional.of(note(
                        second.id(),
                        second.planted(),
                        first.crop().name() + " follows itself. What lives on it finds it again: " + pests + ".",
                        List.of(first.crop().id() + " twice"),
                        "another crop between the two"))
                : Optional.empty();
    }
}

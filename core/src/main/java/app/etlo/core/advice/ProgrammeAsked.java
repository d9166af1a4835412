package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A field in a programme: changes wait for the office. */
final class ProgrammeAsked extends Judgement {
    ProgrammeAsked() {
        super(
                "programme-asked",
                Weight.TIP,
                Step.MIX,
                "the field is in a programme and the cover has a mix",
                Source.commonPractice(
                        "a change of species, rate or date after enrolment waits for the written yes of the office"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .filter(c -> !c.use().programmes().isEmpty() && c.blend().isPresent())
                .map(c -> note(
                        c.id(),
                        c.sown(),
                        "In " + String.join(", ", c.use().programmes())
                                + ": a change of species, rate or date waits for the office's written yes.",
                        List.of("programmes " + String.join(", ", c.use().programmes())),
                        "the office's yes, kept with the plan"));
    }
}

package app.etlo.core.advice;

import app.etlo.core.knowledge.School.Side;
import app.etlo.core.mix.MixSchool;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A mix on the other side of what its farm chose, on a point on which practitioners differ. */
final class OutsideSchool extends Judgement {
    OutsideSchool() {
        super(
                "outside-school",
                Weight.TIP,
                Step.MIX,
                "the mix lies outside the band of the school its farm has chosen on a disputed question",
                Source.commonPractice("disputed in the trade: schools with their conditions, never averaged"),
                "low");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c ->
                        c.mix().schools().stream().filter(MixSchool::isOutside).map(m -> speak(c, m)));
    }

    private Note speak(Situation.Cover c, MixSchool m) {
        Side own = m.chosen().orElseThrow();
        String others = m.opposing().stream()
                .map(o -> o.name() + " (" + m.school().band(o) + ") holds where " + o.holds())
                .collect(Collectors.joining("; "));
        return note(
                c.id() + "/" + m.school().id(),
                c.sown(),
                m.school().name() + ": this farm's school is " + own.name() + ", "
                        + m.school().band(own) + "; the mix has "
                        + m.words() + ". It is disputed: " + own.name() + " holds where " + own.holds() + "; " + others
                        + ". Half of each is no compromise.",
                List.of(m.school().id() + " " + own.id(), "mix " + m.words()),
                "a mix of the farm's school, or the other school in the step Field");
    }
}

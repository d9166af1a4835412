package app.etlo.core.advice;

import app.etlo.core.mix.SeedRate;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.stream.Stream;

/** A lot that holds less than the mix needs of it. */
final class LotTooSmall extends Judgement {
    LotTooSmall() {
        super(
                "lot-too-small",
                Weight.THINK,
                Step.MIX,
                "the store holds less of a lot than the cover needs",
                Source.commonPractice("order in time: seed comes late or not at all"),
                "high");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.blend().stream()
                        .flatMap(b -> b.rates().stream())
                        .filter(LotTooSmall::isShort)
                        .map(r -> {
                            var lot = r.component().lot().orElseThrow();
                            double stockKg = lot.tag().stockKg().orElseThrow();
                            return note(
                                    c.id() + "/" + r.component().species().id(),
                                    c.sown(),
                                    "Lot " + lot.label() + " holds " + s.say(stockKg, Unit.KILOGRAM) + "; "
                                            + s.say(r.seedKg().middle(), Unit.KILOGRAM) + " are needed.",
                                    List.of("in store " + Said.of(Math.round(stockKg), Unit.KILOGRAM)),
                                    "more of it, another lot, or a smaller share");
                        }));
    }

    private static boolean isShort(SeedRate r) {
        return r.component()
                .lot()
                .flatMap(l -> l.tag().stockKg())
                .filter(kg -> kg < r.seedKg().middle() - 0.05)
                .isPresent();
    }
}

package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** A hard weed is not under control when tillage stops. */
final class WeedsBeforeNoTill extends Judgement {
    WeedsBeforeNoTill() {
        super(
                "weeds-before-no-till",
                Weight.THINK,
                Step.ROTATION,
                "a perennial weed, or one of high pressure, is not under control and a crop is planted without tillage",
                Source.commonPractice("get hard weeds under control before tillage stops"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.crops().stream()
                .filter(c -> s.untilled().contains(c.id()) && c.planted().isPresent())
                .findFirst()
                .stream()
                .flatMap(c -> s.field().weeds().stream()
                        .filter(w -> !w.underControl()
                                && (w.perennial() || w.pressure().equals("high")))
                        .map(w -> note(
                                c.id() + "/" + w.name(),
                                c.planted(),
                                w.name() + (w.perennial() ? ", a perennial," : "") + " is not under control, and "
                                        + c.crop().name().toLowerCase(Locale.ROOT)
                                        + " is planted without tillage. Get it under control first.",
                                List.of(w.name() + " " + w.pressure(), "no-till " + c.id()),
                                "a clean-up crop, or the weed marked as under control on the Field step")));
    }
}

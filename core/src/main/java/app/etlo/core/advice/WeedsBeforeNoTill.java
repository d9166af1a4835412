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

    private static final List<String> GRASSES = List.of(
            "grass", "brome", "foxtail", "ryegrass", "wild oat", "cheat", "barnyard", "couch", "quack", "johnson");

    /** The clean-up crop, how long, and the test before tillage stops. */
    private static String gate(FieldFacts.Weed w) {
        boolean grass =
                GRASSES.stream().anyMatch(g -> w.name().toLowerCase(Locale.ROOT).contains(g));
        String crop = w.perennial()
                ? "Clean-up: a forage that is cut three or four times a year, or roots worked until they are spent, for two seasons"
                : grass
                        ? "Clean-up: a broadleaf crop of another sowing season, such as a winter oilseed, that allows another mode of"
                                + " action, for two to three years without seeding: by then annual grass seed is mostly gone"
                        : "Clean-up: a small grain or a mown forage that shades and cuts it, for three years or more; seed of some"
                                + " broadleaf weeds lasts decades";
        return crop + ". Back to no-till after two counted flushes under the farm's limit.";
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
                                        + " is planted without tillage. Get it under control first. " + gate(w),
                                List.of(w.name() + " " + w.pressure(), "no-till " + c.id()),
                                "a clean-up crop, or the weed marked as under control on the Field step")));
    }
}

package app.etlo.core.advice;

import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Volunteers of an earlier crop come up in a later one. */
final class VolunteersAhead extends Judgement {
    private static final Set<String> LASTING =
            Set.of("canola", "spring-canola", "potato", "sunflower", "grain-rye", "flax");

    VolunteersAhead() {
        super(
                "volunteers-ahead",
                Weight.TIP,
                Step.ROTATION,
                "a crop whose seed or tubers lie for years is followed within three years by one in which they are hard to control",
                Source.commonPractice("volunteers of canola, potato, sunflower and rye in later crops"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        List<CropInTime> crops = s.crops();
        return IntStream.range(0, crops.size())
                .boxed()
                .filter(i -> LASTING.contains(crops.get(i).crop().id())
                        && crops.get(i).harvested().isPresent())
                .flatMap(i -> crops.subList(i + 1, crops.size()).stream()
                        .filter(later -> later.planted()
                                .map(p -> p.isBefore(
                                        crops.get(i).harvested().orElseThrow().plusYears(3)))
                                .orElse(false))
                        .filter(later -> like(crops.get(i), later))
                        .findFirst()
                        .map(later -> speak(crops.get(i), later))
                        .stream());
    }

    private static boolean like(CropInTime first, CropInTime later) {
        boolean grass = first.crop().family().equals("Poaceae");
        boolean grassLater = later.crop().family().equals("Poaceae");
        return grass == grassLater && !first.crop().id().equals(later.crop().id());
    }

    private Note speak(CropInTime first, CropInTime later) {
        String name = first.crop().name().toLowerCase(Locale.ROOT);
        return note(
                later.id() + "/" + first.id(),
                later.planted(),
                "Volunteers of " + name + " come up for years, and "
                        + later.crop().name().toLowerCase(Locale.ROOT)
                        + " bears few means against them. Let them sprout and end them in the windows between.",
                List.of(first.crop().id() + " before " + later.crop().id()),
                "a shallow pass after harvest, or a crop of the other kind in between");
    }
}

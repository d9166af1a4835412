package app.etlo.core.advice;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A mix of the same kind as the crop that follows. */
final class LikeNextCrop extends Judgement {
    private static final Set<Group> GRASSES = Set.of(Group.COOL_GRASS, Group.WARM_GRASS);

    private static double share(Situation.Cover c, MixOutlook o, boolean grasses) {
        var rates = c.blend().orElseThrow().rates();
        return IntStream.range(0, rates.size())
                .filter(i -> {
                    Group g = rates.get(i).component().species().group();
                    return grasses ? GRASSES.contains(g) : g.isLegume();
                })
                .mapToDouble(i -> o.standShares().get(i).middle())
                .sum();
    }

    LikeNextCrop() {
        super(
                "like-next-crop",
                Weight.TIP,
                Step.MIX,
                "grasses are over 70 % of the dry tops ahead of a grass, or legumes over 60 % ahead of a legume",
                Source.commonPractice("designed opposite to the next crop: a check, not a law"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(
                        c -> c.outlook().stream()
                                .flatMap(
                                        o -> c.next().stream()
                                                .filter(n -> GRASSES.contains(
                                                                        n.crop().group())
                                                                && share(c, o, true) > 70
                                                        || n.crop().group().isLegume() && share(c, o, false) > 60)
                                                .map(
                                                        n -> note(
                                                                c.id(),
                                                                c.sown(),
                                                                "Much of this mix is of the kind of "
                                                                        + n.crop()
                                                                                .name()
                                                                                .toLowerCase(java.util.Locale.ROOT)
                                                                        + ", which follows. Many design it the other way round.",
                                                                List.of(
                                                                        "grasses " + Math.round(share(c, o, true))
                                                                                + " %",
                                                                        "legumes " + Math.round(share(c, o, false))
                                                                                + " %"),
                                                                "more legumes and broadleaves ahead of a grass, more grasses ahead of a legume"))));
    }
}

package app.etlo.core.advice;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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

    /** Less neither ties up nor carries over much. */
    private static final double MATTERS_KG_HA = 1500;

    LikeNextCrop() {
        super(
                "like-next-crop",
                Weight.TIP,
                Step.MIX,
                "of 1.5 t/ha of dry tops or more grasses are over 70 % ahead of a grass, or legumes over 60 % ahead of a legume",
                Source.commonPractice("designed opposite to the next crop: a check, not a law"),
                "medium");
    }

    @Override
    public Stream<Note> judge(Situation s) {
        return s.covers().stream()
                .flatMap(c -> c.outlook().flatMap(o -> c.next().flatMap(n -> judge(c, o, n))).stream());
    }

    private Optional<Note> judge(Situation.Cover c, MixOutlook o, CropInTime next) {
        long grasses = Math.round(share(c, o, true));
        long legumes = Math.round(share(c, o, false));
        boolean grass = GRASSES.contains(next.crop().group()) && grasses > 70;
        boolean legume = next.crop().group().isLegume() && legumes > 60;
        if (!grass && !legume || o.mass().in(Unit.KG_PER_HA) < MATTERS_KG_HA) {
            return Optional.empty();
        }
        String crop = next.crop().name().toLowerCase(Locale.ROOT);
        return Optional.of(note(
                c.id(),
                c.sown(),
                grass
                        ? "Grasses are " + grasses + " % of the dry tops ahead of " + crop
                                + ", a grass too: nitrogen can be short in spring. Many sow more legumes and broadleaves there."
                        : "Legumes are " + legumes + " % of the dry tops ahead of " + crop
                                + ", a legume too: their nitrogen is of little use to it, and they share diseases. Many sow"
                                + " more grasses there.",
                List.of("grasses " + grasses + " %", "legumes " + legumes + " %"),
                grass ? "more legumes and broadleaves in the mix" : "more grasses in the mix"));
    }
}

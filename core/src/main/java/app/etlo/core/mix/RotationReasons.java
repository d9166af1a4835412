package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import app.etlo.core.mix.FitnessRule.Case;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a species shares with the crops before and after it. */
final class RotationReasons {
    private static final Set<String> SMALL_GRAINS =
            Set.of("winter-wheat", "spring-wheat", "winter-barley", "spring-barley", "oats", "grain-rye");
    private static final Set<String> VOLUNTEERS_IN_GRAIN =
            Set.of("hairy-vetch", "annual-ryegrass", "daikon-radish", "oilseed-radish", "buckwheat");
    /** Crops that usually come as plants, not as seed. */
    private static final Set<String> TRANSPLANTED = Set.of("cabbage", "processing-tomato");

    private RotationReasons() {}

    /** Botanically one species: its diseases and volunteers are the same. */
    static Optional<String> sameCropFollows(Case c) {
        return c.place()
                .next()
                .filter(n ->
                        species(n.crop().botanical()).equals(species(c.species().botanical())))
                .map(n -> n.crop().name().toLowerCase(Locale.ROOT) + " follows, which is the same species");
    }

    private static List<String> species(String botanical) {
        String[] words = botanical.split(" ");
        return List.of(words[0], words.length > 1 ? words[1] : "");
    }

    static Optional<String> kinOfNext(Case c) {
        return c.place()
                .next()
                .filter(n -> n.crop().family().equals(c.species().family()))
                .map(n -> "of the family of " + n.crop().name().toLowerCase(Locale.ROOT) + ", which follows");
    }

    static Optional<String> kinOfPrevious(Case c) {
        return c.place()
                .previous()
                .filter(p -> p.family().equals(c.species().family()))
                .map(p -> "of the family of " + p.name().toLowerCase(Locale.ROOT)
                        + ", which it follows: diseases and volunteers carry over");
    }

    static Optional<String> hostsPest(Case c) {
        return c.place()
                .next()
                .flatMap(n -> AimDelivery.sharedPest(
                                c.species(), n.crop().growing().sharedPests())
                        .map(p -> "host of " + p + ", which also attacks "
                                + n.crop().name().toLowerCase(Locale.ROOT)));
    }

    static Optional<String> volunteers(Case c) {
        return c.place()
                .next()
                .filter(n -> SMALL_GRAINS.contains(n.crop().id())
                        && VOLUNTEERS_IN_GRAIN.contains(c.species().id()))
                .map(n -> "volunteers in grain sold as seed or food");
    }

    static Optional<String> allelopathic(Case c) {
        return c.place()
                .next()
                .filter(n -> c.species().use().allelopathic()
                        && n.crop().growing().thousandSeedG() < 10
                        && !TRANSPLANTED.contains(n.crop().id()))
                .map(n -> "may suppress the small seed of " + n.crop().name().toLowerCase(Locale.ROOT)
                        + ". Whether by what it gives off is disputed: nitrogen tied up by its residue is often what is blamed. A strip"
                        + " with starter nitrogen tells; two weeks between its end and the seed allow for both");
    }

    static Optional<String> feedsSlugs(Case c) {
        boolean liked = c.species().group() == Group.BRASSICA
                || c.species().use().hosts().contains("slugs");
        return Reasons.when(
                liked
                        && c.place()
                                .next()
                                .filter(n -> n.crop().growing().sharedPests().contains("slugs"))
                                .isPresent(),
                "a favourite of slugs, ahead of a crop they eat");
    }
}

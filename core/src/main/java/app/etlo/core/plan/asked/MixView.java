package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Group;
import java.util.List;
import java.util.Optional;

/**
 * A mix that is proposed for a cover, or its own measured as those are.
 *
 * @param cost of what is bought per area, in the farm's units: with waste, in whole bags
 * @param costNote which species are counted at the library's price, which is no price of the farm
 * @param score what each aim gets over the most that one species alone gives it, by the aims' weights
 * @param missed aims that fall short once the species compete
 * @param proved whether no better mix exists for the linear programme
 */
public record MixView(
        List<ShareView> shares,
        double cost,
        String costText,
        String costUnit,
        Optional<String> costNote,
        double score,
        List<AmountView> aims,
        List<BindingView> binding,
        List<String> missed,
        int rounds,
        boolean proved) {

    /**
     * @param lotId the lot its cost is computed from
     */
    public record ShareView(String species, String name, Group group, double percent, Optional<String> lotId) {}

    public record AmountView(String aim, double value, String text, String unit) {}

    /**
     * @param buys what a step looser would bring, in words; empty when it brings nothing
     */
    public record BindingView(String words, String buys) {}
}

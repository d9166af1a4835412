package app.etlo.core.nitrogen;

import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The nitrogen of a cash crop.
 *
 * @param credit of the cover ahead of it
 * @param need kg/ha
 * @param planned what the plan's own feedings bring, kg/ha
 * @param assumed what the simulation feeds it where the plan does not say
 * @param bought what is left to buy; empty without a need
 */
public record FeedResult(
        Optional<CoverCredit> credit,
        Optional<Figure> need,
        Optional<Figure> planned,
        UsualFeeding.Shown assumed,
        Optional<LeftToBuy> bought)
        implements Figured {
    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>();
        credit.ifPresent(c -> all.addAll(c.figures()));
        all.addAll(Figured.present(need, planned));
        all.addAll(assumed.figures());
        bought.ifPresent(b -> all.addAll(b.figures()));
        return all;
    }
}

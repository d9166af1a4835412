package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.plan.asked.AimsReached.StartView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.FieldEntry;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * An order of aims to start from, by the next crop, the one before and what the field is like: each with its reason, for the adviser to
 * take or change. What is wrong with the field comes first, then what the next crop wants, then what any cover should do. Common practice.
 */
final class StartingAims {
    static final int MOST = 4;
    /** Steeper ground loses soil. */
    private static final double STEEP_PERCENT = 4;
    /** So much nitrate left is worth catching, kg/ha. */
    private static final double MUCH_NITRATE_KG_HA = 45;
    /** Poorer soils want organic matter before all else. */
    private static final double POOR_PERCENT = 2;

    private final Evaluated e;
    private final MixPlace place;
    private final List<StartView> found = new ArrayList<>();

    StartingAims(Evaluated e, MixPlace place) {
        this.e = e;
        this.place = place;
    }

    List<StartView> of() {
        FieldEntry field = e.context().field();
        place.slopePercent()
                .filter(p -> p >= STEEP_PERCENT)
                .ifPresent(p -> add("protect-soil", "the field slopes " + Math.round(p) + " %"));
        if (place.isWet()) {
            add("manage-water", "the field is " + place.drainage().orElseThrow());
        }
        place.panDepthCm().ifPresent(cm -> add("loosen-pan", "a pan is entered"));
        field.weeds().orElse(List.of()).stream()
                .filter(w -> w.pressure().equals("high"))
                .findFirst()
                .ifPresent(w -> add("suppress-weeds", w.name() + " is at high pressure"));
        place.previous()
                .filter(p -> p.growing().nitrateLeftKgHa() >= MUCH_NITRATE_KG_HA)
                .ifPresent(p -> add("catch-nitrogen", lower(p) + " leaves nitrate"));
        next();
        if (!place.livestock().isBlank()) {
            add("feed-stock", "stock have access");
        }
        field.organicMatterPercent()
                .filter(p -> p < POOR_PERCENT)
                .ifPresent(p -> add("build-organic-matter", "the soil holds little organic matter"));
        add("protect-soil", "the ground should not lie bare");
        add("build-organic-matter", "roots and tops feed the soil");
        return found;
    }

    private void next() {
        Optional<Crop> next = place.next().map(n -> n.crop());
        if (next.filter(c -> c.group().isLegume()).isPresent()) {
            add("suppress-weeds", lower(next.get()) + " needs no nitrogen and is slow to close");
            add("mulch", "grass residue suits " + lower(next.get()));
        } else if (next.isPresent()) {
            add("fix-nitrogen", lower(next.get()) + " needs nitrogen");
        }
    }

    private void add(String aim, String because) {
        if (found.stream().noneMatch(s -> s.aim().equals(aim))) {
            found.add(new StartView(aim, e.knowledge().aims().get(aim).name(), because));
        }
    }

    private static String lower(Crop c) {
        return c.name().toLowerCase(Locale.ROOT);
    }
}

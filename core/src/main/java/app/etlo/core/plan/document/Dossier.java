package app.etlo.core.plan.document;

import app.etlo.core.knowledge.CorrectionRefused;
import app.etlo.core.knowledge.Knowledge;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/**
 * A plan with the context it needs: what a file export holds, what an import takes, what the core evaluates without a
 * server. Writing a dossier that was read gives the same text again.
 */
public record Dossier(String format, int version, PlanDocument plan, Context context) {
    public static final String FORMAT = "etlo-dossier";
    public static final int VERSION = 1;

    public static Dossier of(PlanDocument plan, Context context) {
        return new Dossier(FORMAT, VERSION, plan, context);
    }

    /** The text of the file. */
    public String write() {
        return Json.writeFile(this);
    }

    /**
     * Reads a dossier.
     *
     * @throws Refused with every problem at its place
     */
    public static Dossier read(String text, PlanReader plans, Knowledge knowledge) {
        JsonNode tree = Json.tree(text);
        if (!FORMAT.equals(tree.path("format").asText())) {
            throw new Refused("/format", "this is not an Etlo plan file; its format would be '" + FORMAT + "'");
        }
        if (tree.path("version").asInt() != VERSION) {
            throw new Refused("/version", "this Etlo reads version " + VERSION + " of the format");
        }
        PlanDocument plan = under("/plan", () -> plans.read(tree.path("plan")));
        Context context = under("/context", () -> Json.convert(tree.path("context"), Context.class));
        requireWhole(context);
        under("/context/farm", () -> {
            ContextCheck.farm(context.farm(), knowledge);
            return true;
        });
        under("/context/field", () -> {
            ContextCheck.field(context.field(), knowledge);
            return true;
        });
        context.weather()
                .ifPresent(w -> under("/context/weather", () -> {
                    ContextCheck.weather(w);
                    return true;
                }));
        try {
            knowledge.corrected(context.corrections());
        } catch (CorrectionRefused e) {
            throw new Refused("/context/corrections" + e.pointer(), e.getMessage());
        }
        for (int i = 0; i < context.lots().size(); i++) {
            int index = i;
            under("/context/lots/" + i, () -> {
                ContextCheck.lot(context.lots().get(index), knowledge);
                return true;
            });
        }
        for (int i = 0; i < context.log().size(); i++) {
            int index = i;
            under("/context/log/" + i, () -> {
                context.log().get(index).require(plans);
                return true;
            });
        }
        if (!plan.fieldId().equals(context.field().id())) {
            throw new Refused("/plan/fieldId", "the plan is for another field than the one in the file");
        }
        if (!context.field().farmId().equals(context.farm().id())) {
            throw new Refused("/context/field/farmId", "the field belongs to another farm than the one in the file");
        }
        return of(plan, context);
    }

    private static void requireWhole(Context context) {
        if (context == null || context.farm() == null || context.field() == null) {
            throw new Refused("/context", "a dossier holds the farm and the field of its plan");
        }
    }

    private static <T> T under(String pointer, java.util.function.Supplier<T> reading) {
        try {
            return reading.get();
        } catch (Refused e) {
            List<Problem> moved = new ArrayList<>();
            e.problems().forEach(p -> moved.add(new Problem(pointer + p.pointer(), p.message())));
            throw new Refused(moved);
        }
    }
}

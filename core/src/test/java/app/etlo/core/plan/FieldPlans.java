package app.etlo.core.plan;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import java.time.LocalDate;

/** Small plans of one rotation on a field with weather, for tests; what differs is put in as text. */
public final class FieldPlans {
    public static final LocalDate AS_OF = LocalDate.of(2026, 6, 1);

    private String crops = "";
    private String covers = "";
    private String operations = "";
    private String field = "\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}";
    private String units = "metric";
    private String lots = "";
    private int count;

    public static FieldPlans of() {
        return new FieldPlans();
    }

    private static String join(String list, String entry) {
        return list.isEmpty() ? entry : list + "," + entry;
    }

    /** A crop c1, c2 ... with its dates; either may be an object for another way of dating. */
    public FieldPlans crop(String crop, String planted, String harvested) {
        return crop(crop, planted, harvested, "");
    }

    public FieldPlans crop(String crop, String planted, String harvested, String system) {
        String id = "c" + (++count);
        crops = join(crops, "{\"id\":\"%s\",\"crop\":\"%s\"}".formatted(id, crop));
        operation("sow", id, planted, system.isEmpty() ? "" : "\"system\":\"" + system + "\"");
        return operation("harvest", id, harvested, "");
    }

    public FieldPlans cover(String id, String relation, String crop, String kind, String... species) {
        StringBuilder mix = new StringBuilder();
        for (String s : species) {
            mix.append(mix.isEmpty() ? "" : ",").append("{\"species\":\"%s\",\"sharePercent\":50}".formatted(s));
        }
        String place = kind.isEmpty() ? "" : ",\"kind\":\"" + kind + "\"";
        covers = join(
                covers,
                "{\"id\":\"%s\",\"place\":{\"relation\":\"%s\",\"cropId\":\"%s\"%s},\"mix\":{\"method\":\"share\",\"components\":[%s]}}"
                        .formatted(id, relation, crop, place, mix));
        return this;
    }

    /** A cover with its ranked aims. */
    public FieldPlans coverWithAims(
            String id, String relation, String crop, java.util.List<String> aims, String... species) {
        cover(id, relation, crop, "", species);
        String words = aims.stream().map(a -> "\"" + a + "\"").collect(java.util.stream.Collectors.joining(","));
        covers = covers.replace("{\"id\":\"" + id + "\",", "{\"id\":\"" + id + "\",\"aims\":[" + words + "],");
        return this;
    }

    public FieldPlans operation(String kind, String subject, String when, String params) {
        if (when.isEmpty()) {
            return this;
        }
        String date = when.startsWith("{") ? when : "{\"on\":\"" + when + "\"}";
        String id = "o" + (operations.split("\"kind\"", -1).length);
        String of = subject.isEmpty() ? "" : ",\"subject\":\"" + subject + "\"";
        operations = join(
                operations,
                "{\"id\":\"%s\",\"kind\":\"%s\"%s,\"when\":%s,\"params\":{%s}}".formatted(id, kind, of, date, params));
        return this;
    }

    public FieldPlans field(String members) {
        field = members;
        return this;
    }

    /** Lots of the store as members of a list. */
    public FieldPlans lots(String list) {
        lots = list;
        return this;
    }

    public FieldPlans us() {
        units = "us";
        return this;
    }

    public String text() {
        return """
                {"format":"etlo-dossier","version":1,"plan":{"schemaVersion":1,"id":"p","fieldId":"f","crops":[%s],
                "covers":[%s],"operations":[%s],"answers":[]},"context":{"farm":{"id":"a","name":"Farm","units":"%s",
                "currency":"EUR"},"field":{"id":"f","farmId":"a","name":"Field","area":{"value":20,"unit":"ha"},%s},"lots":[%s]}}
                """.formatted(crops, covers, operations, units, field, lots);
    }

    public Evaluated evaluated() {
        return evaluated(AS_OF);
    }

    public Evaluated evaluated(LocalDate asOf) {
        Dossier d = Plans.read(text());
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), asOf);
    }
}

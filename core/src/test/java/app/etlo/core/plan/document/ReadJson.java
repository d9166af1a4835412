package app.etlo.core.plan.document;

/** What a page sends, as the core reads it. */
public final class ReadJson {
    private ReadJson() {}

    public static <T> T as(Class<T> type, String json) {
        return Json.convert(Json.tree(json), type);
    }
}

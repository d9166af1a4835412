package app.etlo.server.documents;

import java.util.List;

/** Types that the API's description lists beside those of its endpoints: what a problem carries for the page to choose on. */
public record Described(List<Class<?>> types) {
    public static Described of(Class<?>... types) {
        return new Described(List.of(types));
    }
}

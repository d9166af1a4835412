package app.etlo.server.limits;

import org.springframework.boot.context.properties.ConfigurationProperties;

/** How many calls are let through, for each kind of endpoint: from one session, and from one network address. */
@ConfigurationProperties("etlo.limits")
public record Limits(Limit entrance, Limit joining, Limit link, Limit evaluate, Limit imports) {
    /**
     * @param session calls a minute from one session
     * @param address calls a minute from one address; an office shares one
     * @param burst calls at once, before the minute counts
     */
    public record Limit(int session, int address, int burst) {}

    Limit of(Limited.Kind kind) {
        return switch (kind) {
            case ENTRANCE -> entrance;
            case JOINING -> joining;
            case LINK -> link;
            case EVALUATE -> evaluate;
            case IMPORT -> imports;
        };
    }
}

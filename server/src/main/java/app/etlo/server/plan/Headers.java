package app.etlo.server.plan;

import app.etlo.core.plan.document.Refused;

/** Reads the headers that make a save safe to repeat and to refuse. */
final class Headers {
    static final String REQUEST_ID = "X-Request-Id";

    private Headers() {}

    /**
     * The number of a revision.
     *
     * @throws Refused when it is none
     */
    static int revision(String ifMatch) {
        try {
            return Integer.parseInt(ifMatch.replace("\"", ""));
        } catch (NumberFormatException e) {
            throw new Refused("/If-Match", "the number of the revision this one follows");
        }
    }

    /**
     * The id under which a request may be sent again.
     *
     * @throws Refused when it is none
     */
    static String requestId(String requestId) {
        if (!requestId.matches("[A-Za-z0-9-]{8,64}")) {
            throw new Refused("/" + REQUEST_ID, "8 to 64 letters, digits and hyphens");
        }
        return requestId;
    }
}

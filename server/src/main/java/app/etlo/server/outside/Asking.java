package app.etlo.server.outside;

import java.io.Serializable;

/** A question to a service, as a task in the database. */
record Asking(long workspaceId, String service, double lat, double lon) implements Serializable {
    private static final long serialVersionUID = 1L;

    /** Fields within about a kilometre share an answer. */
    static String place(double lat, double lon) {
        return Math.round(lat * 100) / 100.0 + "," + Math.round(lon * 100) / 100.0;
    }

    String place() {
        return place(lat, lon);
    }
}

package app.etlo.server.outside;

/** A question to a service, as a task in the database. */
record Asking(long workspaceId, String service, double lat, double lon) {
    /** Fields within about a kilometre share an answer. */
    static String place(double lat, double lon) {
        return Math.round(lat * 100) / 100.0 + "," + Math.round(lon * 100) / 100.0;
    }

    String place() {
        return place(lat, lon);
    }
}

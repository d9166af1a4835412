package app.etlo.server.access;

import jakarta.servlet.http.HttpServletRequest;

/**
 * Whether a request was made on this machine and not handed on by a proxy. The answer comes from the connection itself and is
 * written by the valve that sees it first; no header grants it. Without that word of the valve the answer is no.
 */
public final class ThisMachine {
    /** Name of the request attribute; a client cannot set one. */
    public static final String ATTRIBUTE = ThisMachine.class.getName();

    private ThisMachine() {}

    public static boolean asked(HttpServletRequest request) {
        return Boolean.TRUE.equals(request.getAttribute(ATTRIBUTE));
    }
}

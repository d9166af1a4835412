package app.etlo.e2e;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** A connection that sends exactly what it is told to, however no honest client would spell it. */
final class Raw implements AutoCloseable {
    private static final int PATIENCE_MS = 30_000;

    private final Socket socket;

    Raw(String url) throws IOException {
        URI at = URI.create(url);
        socket = new Socket(at.getHost(), at.getPort());
        socket.setSoTimeout(PATIENCE_MS);
    }

    /** Sends a request's head and as much of its body as there is. */
    void send(String method, String path, Map<String, String> headers, long length, byte[] body) throws IOException {
        StringBuilder head = new StringBuilder(method + " " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\n");
        headers.forEach((k, v) -> head.append(k).append(": ").append(v).append("\r\n"));
        if (length > 0) {
            head.append("Content-Length: ").append(length).append("\r\n");
        }
        OutputStream out = socket.getOutputStream();
        out.write(head.append("\r\n").toString().getBytes(StandardCharsets.ISO_8859_1));
        out.write(body);
        out.flush();
    }

    void more(byte[] bytes) throws IOException {
        socket.getOutputStream().write(bytes);
    }

    /** The status of the answer; 0 when the connection was closed without one. */
    int status() throws IOException {
        InputStream in = socket.getInputStream();
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0 && c != '\n'; c = in.read()) {
            line.append((char) c);
        }
        String[] words = line.toString().split(" ");
        return words.length > 1 ? Integer.parseInt(words[1]) : 0;
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}

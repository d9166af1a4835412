package app.etlo.server.print;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The makers of the PDF fetch nothing, run nothing and read no file, even if something to fetch got into the page. */
class PdfPrinterTest {
    private final List<String> asked = new CopyOnWriteArrayList<>();

    @Test
    void nothing_is_fetched_run_or_read(@TempDir Path folder) throws Exception {
        Path secret = folder.resolve("secret.txt");
        Files.writeString(secret, "SECRETWORD");
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", e -> {
            asked.add(e.getRequestURI().toString());
            byte[] answer = "FETCHEDWORD".getBytes(StandardCharsets.UTF_8);
            e.sendResponseHeaders(200, answer.length);
            e.getResponseBody().write(answer);
            e.close();
        });
        server.start();
        String web = "http://127.0.0.1:" + server.getAddress().getPort() + "/";
        String file = secret.toUri().toString();
        try {
            String svg =
                    "<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" width=\"90\""
                            + " height=\"90\" viewBox=\"0 0 90 90\"><image xlink:href=\"" + web
                            + "i.png\" width=\"9\" height=\"9\"/>"
                            + "<image xlink:href=\"" + file + "\" width=\"9\" height=\"9\"/><use xlink:href=\"" + web
                            + "u.svg#a\"/>"
                            + "<script type=\"text/ecmascript\">java.lang.System.setProperty('etlo.pwned','yes')</script>"
                            + "<style>@import url(" + web + "s.css);</style><text x=\"9\" y=\"9\">drawn</text></svg>";
            String html = "<html><head><link rel=\"stylesheet\" href=\"" + web + "l.css\"/><style>@import url(" + web
                    + "m.css); @font-face { font-family: x; src: url(" + web + "f.ttf); } body { background: url(" + web
                    + "b.png); }</style></head><body><p>whole</p><img src=\"" + web + "j.png\"/><img src=\"" + file
                    + "\"/><object data=\"" + file + "\"></object><iframe src=\"" + web + "\"></iframe>" + svg
                    + "</body></html>";
            for (String page : List.of(html, html.replace(svg, ""), "<html><body><p>whole</p></body></html>")) {
                byte[] pdf;
                try {
                    pdf = PdfPrinter.pdf(page);
                } catch (RuntimeException refused) {
                    continue; // refusing is as good
                }
                try (PDDocument document = Loader.loadPDF(pdf)) {
                    String text = new PDFTextStripper().getText(document);
                    assertThat(text)
                            .contains("whole")
                            .doesNotContain("SECRETWORD")
                            .doesNotContain("FETCHEDWORD");
                    assertThat(document.getDocumentCatalog().getNames()).isNull();
                }
                assertThat(new String(pdf, StandardCharsets.ISO_8859_1)).doesNotContain("SECRETWORD");
            }
        } finally {
            server.stop(0);
        }
        assertThat(asked).isEmpty();
        assertThat(System.getProperty("etlo.pwned")).isNull();
    }

    /** An entity of the page's own would be read from a file, or grow without end. */
    @Test
    void entities_are_not_resolved(@TempDir Path folder) throws Exception {
        Path secret = folder.resolve("secret.txt");
        Files.writeString(secret, "SECRETWORD");
        String html =
                "<!DOCTYPE html [<!ENTITY x SYSTEM \"" + secret.toUri() + "\">]><html><body><p>&x;</p></body></html>";
        String text = "";
        try (PDDocument document = Loader.loadPDF(PdfPrinter.pdf(html))) {
            text = new PDFTextStripper().getText(document);
        } catch (RuntimeException refused) {
            assertThat(refused).hasMessageNotContaining("SECRETWORD");
        }
        assertThat(text).doesNotContain("SECRETWORD");
    }
}

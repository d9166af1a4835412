package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/** How browsers keep the page and its files: by their contents, so that none shows an old page after an upgrade. */
@ServerTest
class PageFilesTest {
    @Autowired
    MockMvc mvc;

    private MockHttpServletResponse get(String path, Map<String, String> headers) {
        return new Browser(mvc).send("GET", path, null, null, headers).response();
    }

    @Test
    void the_page_is_asked_about_each_time_and_known_by_its_contents() {
        MockHttpServletResponse page = get("/index.html", Map.of());
        assertThat(page.getHeader("Cache-Control")).isEqualTo("no-cache");
        assertThat(page.getHeader("Last-Modified")).isNull();
        String etag = page.getHeader("ETag");
        assertThat(get("/index.html", Map.of("If-None-Match", etag)).getStatus())
                .isEqualTo(304);
        // the date of another build, or its ETag, is no reason to keep an old page
        assertThat(get("/index.html", Map.of("If-None-Match", "\"another\"")).getStatus())
                .isEqualTo(200);
        assertThat(get("/index.html", Map.of("If-Modified-Since", "Thu, 01 Jan 2099 00:00:00 GMT"))
                        .getStatus())
                .isEqualTo(200);
    }

    /** An open page compares it with the build it was loaded from. */
    @Test
    void every_answer_names_the_build_of_the_page() {
        String etag = get("/index.html", Map.of()).getHeader("ETag");
        assertThat(get("/api/session", Map.of()).getHeader("X-Build")).isEqualTo(etag.replace("\"", ""));
        assertThat(get("/api/farms", Map.of()).getHeader("X-Build")).isEqualTo(etag.replace("\"", ""));
    }

    @Test
    void hashed_files_are_kept_for_a_year_and_come_as_they_were_compressed_by_the_build() throws Exception {
        Matcher script = Pattern.compile("/assets/[\\w-]+\\.js")
                .matcher(get("/index.html", Map.of()).getContentAsString());
        assertThat(script.find()).isTrue();
        MockHttpServletResponse plain = get(script.group(), Map.of());
        assertThat(plain.getHeader("Cache-Control"))
                .contains("max-age=31536000")
                .contains("immutable");
        for (String encoding : new String[] {"br", "gzip"}) {
            MockHttpServletResponse packed = get(script.group(), Map.of("Accept-Encoding", encoding));
            assertThat(packed.getHeader("Content-Encoding")).isEqualTo(encoding);
            assertThat(packed.getContentAsByteArray().length).isLessThan(plain.getContentAsByteArray().length / 2);
        }
    }
}

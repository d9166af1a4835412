package app.etlo.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.etlo.server.access.ThisMachine;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** web/openapi.json, from which the client's types are generated, is what the server serves. */
@ServerTest
class ApiDescriptionTest {
    private static final Path KEPT = Path.of("../web/openapi.json");

    @Autowired
    MockMvc mvc;

    @Test
    void the_kept_description_is_the_served_one() throws Exception {
        ObjectMapper mapper = new ObjectMapper()
                .enable(SerializationFeature.INDENT_OUTPUT)
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS);
        String served = mvc.perform(get("/v3/api-docs").requestAttr(ThisMachine.ATTRIBUTE, true))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        String text = mapper.writeValueAsString(mapper.readValue(served, Object.class)) + "\n";
        String kept = Files.exists(KEPT) ? Files.readString(KEPT) : "";
        if (!text.equals(kept)) {
            Files.createDirectories(Path.of("target"));
            Files.writeString(Path.of("target/openapi.json"), text);
        }
        assertEquals(
                kept, text, "the API changed: copy server/target/openapi.json to web/ and run 'npm run api' there");
    }
}

package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Changing and resetting a password, and what becomes of the sessions. */
@ServerTest
class PasswordTest {
    private static final String FRESH = "another horse";

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    Browser browser;
    String email;

    @BeforeEach
    void practice() {
        browser = Browser.ofNewPractice(mvc);
        email = browser.email();
    }

    private Browser elsewhere(String password) {
        return new Browser(mvc).as(email, password);
    }

    private Browser.Answer change(String old, String password) {
        return browser.send(
                "PUT",
                "/api/me/password",
                Browser.JSON
                        .createObjectNode()
                        .put("old", old)
                        .put("password", password)
                        .toString()
                        .getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                Map.of());
    }

    private Browser.Answer use(Browser who, String token, String password) {
        return who.post(
                "/api/resets/used",
                Browser.JSON.createObjectNode().put("token", token).put("password", password));
    }

    private Browser stranger() {
        Browser b = new Browser(mvc);
        b.get("/api/session");
        return b;
    }

    @Test
    void changing_it_ends_the_other_sessions_and_keeps_this_one() {
        Browser other = elsewhere(Browser.PASSWORD);
        assertThat(change(Browser.PASSWORD, FRESH).status()).isEqualTo(204);
        assertThat(browser.get("/api/farms").status()).isEqualTo(200);
        assertThat(other.get("/api/farms").status()).isEqualTo(401);
        assertThat(elsewhere(FRESH).get("/api/farms").status()).isEqualTo(200);
    }

    @Test
    void changing_it_gives_the_session_a_new_id_and_ends_waiting_links() {
        stranger().post("/api/resets", "{\"email\":\"" + email + "\"}");
        String waiting = Letters.resetToken(email);
        String before = browser.cookie("ETLO").getValue();
        assertThat(change(Browser.PASSWORD, FRESH).status()).isEqualTo(204);
        assertThat(browser.cookie("ETLO").getValue()).isNotEqualTo(before);
        assertThat(browser.get("/api/farms").status()).isEqualTo(200);
        assertThat(use(stranger(), waiting, "a third horse").status()).isEqualTo(410);
        assertThat(elsewhere(FRESH).get("/api/farms").status()).isEqualTo(200);
    }

    /** The Kelvin sign and others become plain letters in lower case. */
    @Test
    void letters_that_only_look_alike_are_another_address() {
        Browser kay = stranger();
        String real = "kim-" + email;
        kay.post(
                "/api/practices",
                "{\"practice\":\"K\",\"email\":\"" + real + "\",\"password\":\"" + Browser.PASSWORD + "\"}");
        String lookAlike = "\u212Aim-" + email;
        assertThat(stranger()
                        .post("/api/resets", "{\"email\":\"" + lookAlike + "\"}")
                        .status())
                .isEqualTo(202);
        assertThat(stranger()
                        .post("/api/resets", "{\"email\":\"" + real.toUpperCase(java.util.Locale.ROOT) + "\"}")
                        .status())
                .isEqualTo(202);
        // the link goes where the account says, however the address was typed
        assertThat(Letters.to(real)).contains("/reset#");
        assertThat(Letters.find(lookAlike)).isEmpty();
        assertThat(Letters.find(real.toUpperCase(java.util.Locale.ROOT))).isEmpty();
        // it opens nobody's account, and is free for whoever has it
        assertThat(stranger()
                        .post(
                                "/api/practices",
                                "{\"practice\":\"L\",\"email\":\"" + lookAlike + "\",\"password\":\"" + Browser.PASSWORD
                                        + "\"}")
                        .status())
                .isEqualTo(201);
    }

    @Test
    void without_the_present_one_nothing_changes() {
        assertThat(change("not this one", FRESH)
                        .json()
                        .at("/problems/0/pointer")
                        .asText())
                .isEqualTo("/old");
        assertThat(change(Browser.PASSWORD, "short")
                        .json()
                        .at("/problems/0/pointer")
                        .asText())
                .isEqualTo("/password");
        // 40 letters, but more bytes than bcrypt reads
        assertThat(change(Browser.PASSWORD, "ü".repeat(40)).status()).isEqualTo(400);
        assertThat(elsewhere(Browser.PASSWORD).get("/api/farms").status()).isEqualTo(200);
    }

    @Test
    void signing_out_everywhere_does() {
        Browser other = elsewhere(Browser.PASSWORD);
        assertThat(other.delete("/api/me/sessions").status()).isEqualTo(204);
        assertThat(browser.get("/api/farms").status()).isEqualTo(401);
        assertThat(other.get("/api/farms").status()).isEqualTo(401);
    }

    @Test
    void a_link_by_letter_sets_a_new_one_once_and_ends_every_session() {
        Browser forgetful = stranger();
        assertThat(forgetful
                        .post("/api/resets", "{\"email\":\"" + email.toUpperCase(java.util.Locale.ROOT) + "\"}")
                        .status())
                .isEqualTo(202);
        String token = Letters.resetToken(email);
        assertThat(use(forgetful, token, "short").status()).isEqualTo(400);
        assertThat(use(forgetful, token, FRESH).status()).isEqualTo(204);
        assertThat(forgetful.get("/api/session").json().path("email").asText()).isEqualTo(email);
        assertThat(browser.get("/api/farms").status()).isEqualTo(401);
        assertThat(use(stranger(), token, "a third horse").status()).isEqualTo(410);
        assertThat(elsewhere(FRESH).get("/api/farms").status()).isEqualTo(200);
    }

    @Test
    void an_unknown_address_gets_the_same_answer_and_no_letter() {
        Browser.Answer known = stranger().post("/api/resets", "{\"email\":\"" + email + "\"}");
        Browser.Answer unknown = stranger().post("/api/resets", "{\"email\":\"nobody-" + email + "\"}");
        assertThat(unknown.status()).isEqualTo(known.status());
        assertThat(unknown.text()).isEqualTo(known.text());
        assertThat(Letters.to(email)).contains("Somebody asked for a new password");
        assertThat(Letters.find("nobody-" + email)).isEmpty();
    }

    @Test
    void the_link_names_the_address_etlo_is_reached_at_whatever_the_request_says() {
        stranger()
                .send(
                        "POST",
                        "/api/resets",
                        ("{\"email\":\"" + email + "\"}").getBytes(StandardCharsets.UTF_8),
                        MediaType.APPLICATION_JSON,
                        Map.of("Host", "evil.example", "X-Forwarded-Host", "evil.example"));
        assertThat(Letters.to(email)).doesNotContain("evil").contains("http://127.0.0.1:");
    }

    @Test
    void a_letter_box_is_not_filled_by_asking_again_and_again() {
        for (int i = 0; i < 5; i++) {
            assertThat(stranger()
                            .post("/api/resets", "{\"email\":\"" + email + "\"}")
                            .status())
                    .isEqualTo(202);
        }
        String token = Letters.resetToken(email);
        assertThat(Letters.count(email)).isEqualTo(1);
        assertThat(use(stranger(), token, FRESH).status()).isEqualTo(204);
    }

    @Test
    void a_newer_link_ends_the_older_and_an_old_one_does_nothing() {
        stranger().post("/api/resets", "{\"email\":\"" + email + "\"}");
        String first = Letters.resetToken(email);
        jdbc.sql("update password_reset set expires_at = now() - interval '1 second' where token_hash = ?")
                .param(app.etlo.server.account.Tokens.hash(first))
                .update();
        assertThat(use(stranger(), first, FRESH).status()).isEqualTo(410);
        stranger().post("/api/resets", "{\"email\":\"" + email + "\"}");
        assertThat(elsewhere(Browser.PASSWORD).get("/api/farms").status()).isEqualTo(200);
    }
}

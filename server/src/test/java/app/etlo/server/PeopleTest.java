package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Coming into a practice, and going. */
@ServerTest
class PeopleTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    Browser owner;

    @BeforeEach
    void practice() {
        owner = Browser.ofNewPractice(mvc);
    }

    private Browser stranger() {
        Browser b = new Browser(mvc);
        b.get("/api/session");
        return b;
    }

    private String invitation(String role) {
        return owner.post("/api/invitations", "{\"role\":\"" + role + "\"}")
                .json()
                .path("token")
                .asText();
    }

    private static Browser.Answer accept(Browser who, String token, String email) {
        return who.post(
                "/api/invitations/accepted",
                Browser.JSON
                        .createObjectNode()
                        .put("token", token)
                        .put("name", "Oda Brill")
                        .put("email", email)
                        .put("password", Browser.PASSWORD));
    }

    @Test
    void the_invitations_of_somebody_removed_or_no_adviser_any_more_end() {
        for (String how : List.of("removed", "demoted")) {
            Browser second = owner.invites("adviser");
            String link = second.post("/api/invitations", "{\"role\":\"adviser\"}")
                    .json()
                    .path("token")
                    .asText();
            long id = second.get("/api/people").json().path("you").asLong();
            if (how.equals("removed")) {
                assertThat(owner.delete("/api/people/" + id).status()).isEqualTo(204);
            } else {
                assertThat(role(owner, id, "assistant").status()).isEqualTo(200);
            }
            assertThat(stranger()
                            .post("/api/invitations/opened", "{\"token\":\"" + link + "\"}")
                            .status())
                    .as(how)
                    .isEqualTo(410);
            assertThat(accept(stranger(), link, UUID.randomUUID() + "@example.org")
                            .status())
                    .as(how)
                    .isEqualTo(410);
            assertThat(owner.get("/api/people").json().path("invitations")).isEmpty();
        }
    }

    private Browser.Answer role(Browser who, long person, String role) {
        return who.send(
                "PUT",
                "/api/people/" + person + "/role",
                ("{\"role\":\"" + role + "\"}").getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                Map.of());
    }

    private long id(int place) {
        return owner.get("/api/people").json().at("/people/" + place + "/id").asLong();
    }

    private static String address() {
        return UUID.randomUUID() + "@example.org";
    }

    @Test
    void a_link_brings_one_person_in_as_what_it_says() {
        String token = invitation("assistant");
        Browser invited = stranger();
        Browser.Answer welcome = invited.post("/api/invitations/opened", "{\"token\":\"" + token + "\"}");
        assertThat(welcome.json().path("practice").asText()).isEqualTo("Test advice");
        assertThat(welcome.json().path("role").asText()).isEqualTo("assistant");
        assertThat(accept(invited, token, address()).status()).isEqualTo(204);
        assertThat(invited.get("/api/session").json().path("role").asText()).isEqualTo("assistant");
        JsonNode people = owner.get("/api/people").json();
        assertThat(people.path("people").findValuesAsText("name")).contains("Oda Brill");
        assertThat(people.path("invitations")).isEmpty();
        assertThat(accept(stranger(), token, address()).status()).isEqualTo(410);
    }

    @Test
    void of_two_who_follow_one_link_at_once_one_comes_in() throws Exception {
        String token = invitation("adviser");
        ExecutorService pool = Executors.newFixedThreadPool(4);
        try {
            List<Callable<Integer>> tries = java.util.stream.IntStream.range(0, 4)
                    .<Callable<Integer>>mapToObj(
                            i -> () -> accept(stranger(), token, address()).status())
                    .toList();
            assertThat(pool.invokeAll(tries).stream().map(f -> {
                        try {
                            return f.get();
                        } catch (Exception e) {
                            throw new IllegalStateException(e);
                        }
                    }))
                    .containsOnlyOnce(204);
        } finally {
            pool.shutdown();
        }
        assertThat(owner.get("/api/people").json().path("people")).hasSize(2);
    }

    @Test
    void an_address_in_use_does_not_use_the_link_up() {
        String token = invitation("adviser");
        assertThat(accept(stranger(), token, owner.email()).status()).isEqualTo(409);
        assertThat(accept(stranger(), token, address()).status()).isEqualTo(204);
    }

    @Test
    void a_withdrawn_or_old_or_made_up_link_is_gone() {
        String token = invitation("adviser");
        long id = owner.get("/api/people").json().at("/invitations/0/id").asLong();
        assertThat(owner.delete("/api/invitations/" + id).status()).isEqualTo(204);
        assertThat(accept(stranger(), token, address()).status()).isEqualTo(410);
        String old = invitation("adviser");
        jdbc.sql("update invitation set expires_at = now() - interval '1 second' where token_hash = ?")
                .param(app.etlo.server.account.Tokens.hash(old))
                .update();
        assertThat(accept(stranger(), old, address()).status()).isEqualTo(410);
        assertThat(accept(stranger(), "made-up", address()).status()).isEqualTo(410);
    }

    @Test
    void secrets_of_links_are_not_kept() {
        String token = invitation("adviser");
        assertThat(jdbc.sql("select count(*) from invitation where token_hash = ?")
                        .param(token)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void a_role_counts_from_the_next_request_on() {
        Browser other = owner.invites("assistant");
        assertThat(other.post("/api/invitations", "{\"role\":\"adviser\"}").status())
                .isEqualTo(403);
        assertThat(role(owner, id(1), "adviser").status()).isEqualTo(200);
        assertThat(other.post("/api/invitations", "{\"role\":\"adviser\"}").status())
                .isEqualTo(201);
        assertThat(role(other, id(0), "assistant").status()).isEqualTo(200);
        assertThat(owner.post("/api/invitations", "{\"role\":\"adviser\"}").status())
                .isEqualTo(403);
    }

    @Test
    void the_last_adviser_stays_one() {
        owner.invites("assistant");
        assertThat(role(owner, id(0), "assistant").status()).isEqualTo(400);
        assertThat(owner.delete("/api/people/" + id(0)).status()).isEqualTo(400);
        assertThat(role(owner, id(0), "farmhand").status()).isEqualTo(400);
    }

    @Test
    void two_advisers_who_dismiss_each_other_at_once_do_not_leave_the_practice_without_one() throws Exception {
        Browser other = owner.invites("adviser");
        long first = id(0);
        long second = id(1);
        ExecutorService pool = Executors.newFixedThreadPool(2);
        try {
            List<Callable<Integer>> both = List.of(
                    () -> role(owner, second, "assistant").status(),
                    () -> role(other, first, "assistant").status());
            pool.invokeAll(both);
        } finally {
            pool.shutdown();
        }
        assertThat(jdbc.sql("select count(*) from adviser where id in (?, ?) and role = 'adviser'")
                        .params(first, second)
                        .query(Integer.class)
                        .single())
                .isPositive();
    }

    @Test
    void what_somebody_did_stays_in_the_history_after_they_left() {
        Samples.into(owner);
        Browser other = owner.invites("adviser");
        String address = other.email();
        other.save(
                Samples.plan()
                        .deepCopy()
                        .<com.fasterxml.jackson.databind.node.ObjectNode>deepCopy()
                        .put("name", "n"),
                1,
                UUID.randomUUID().toString());
        assertThat(owner.delete("/api/people/" + id(1)).status()).isEqualTo(204);
        assertThat(owner.get("/api/plans/p1/revisions").json().at("/0/author").asText())
                .isEqualTo(address);
        assertThat(stranger()
                        .post(
                                "/api/session",
                                Browser.JSON
                                        .createObjectNode()
                                        .put("email", address)
                                        .put("password", Browser.PASSWORD))
                        .status())
                .isEqualTo(401);
    }
}

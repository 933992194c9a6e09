package syntoma.app.platform;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;
import syntoma.app.Requests;

/** Only this machine may ask, only its own pages may change anything, and nothing from elsewhere runs in them. */
@ApiTest
class InterfaceTest {
    @Autowired
    private MockMvc mvc;

    @Test
    void every_answer_carries_a_strict_policy_with_a_fresh_nonce() throws Exception {
        String first = policy();
        assertTrue(first.contains("default-src 'none'") && first.contains("script-src 'self';"), first);
        assertFalse(first.contains("unsafe"));
        assertFalse(first.equals(policy()));
    }

    @Test
    void a_part_of_a_page_allows_nothing_by_itself_and_carries_no_more_than_it_needs() throws Exception {
        var part = mvc.perform(get("/assets/no-such-file.js")).andReturn().getResponse();
        assertEquals("default-src 'none'; frame-ancestors 'none'", part.getHeader("Content-Security-Policy"));
        assertEquals("nosniff", part.getHeader("X-Content-Type-Options"));
        assertEquals("same-origin", part.getHeader("Cross-Origin-Resource-Policy"));
        int bytes = part.getHeaderNames().stream()
                .mapToInt(name ->
                        name.length() + String.valueOf(part.getHeader(name)).length() + 4)
                .sum();
        assertTrue(bytes < 500, part.getHeaderNames() + " are " + bytes + " bytes");
    }

    private String policy() throws Exception {
        return mvc.perform(get("/api/bands")).andReturn().getResponse().getHeader("Content-Security-Policy");
    }

    @ParameterizedTest
    @CsvSource({
        "/no-such-page, text/html, text/html",
        "/logbook/no/such/page, text/html, text/html",
        "/no-such-page, application/json, application/problem+json",
        "/api/no-such-thing, text/html, application/problem+json",
        "/assets/no-such-file.js, text/html, application/problem+json"
    })
    void an_unknown_address_is_the_applications_own_page_or_a_problem(String path, String accept, String type)
            throws Exception {
        var answer = mvc.perform(get(path).header("Accept", accept)).andReturn().getResponse();
        assertEquals(404, answer.getStatus());
        assertTrue(String.valueOf(answer.getContentType()).startsWith(type), answer.getContentType());
    }

    @ParameterizedTest
    @CsvSource({
        "421, Host, evil.example",
        "421, Host, 127.0.0.1.evil.example:8787",
        "400, Host, ''",
        "200, Host, 127.0.0.1:8787",
        "200, Host, [::1]:8787",
        "403, Sec-Fetch-Site, cross-site",
        "403, Origin, http://evil.example",
        "403, Origin, null",
        "403, Origin, http://localhost:9999",
        "200, Origin, http://localhost",
        "200, Sec-Fetch-Site, same-origin"
    })
    void another_host_and_a_page_from_elsewhere_are_turned_away(int status, String header, String value)
            throws Exception {
        var answer = mvc.perform(put("/api/standing")
                        .header(header, value)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{}"))
                .andReturn()
                .getResponse();
        assertEquals(status, answer.getStatus());
        assertEquals("nosniff", answer.getHeader("X-Content-Type-Options"));
        assertEquals(
                status == 200 ? MediaType.APPLICATION_JSON_VALUE : MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                answer.getContentType());
    }

    @ParameterizedTest
    @CsvSource({
        "/api/gear/import, '{\"format\":\"syntoma-gear-1\",\"gear\":[{},{},{},{\"name\":{}}]}', gear[3].name",
        "/api/setups/check, '{\"plan\":{\"runs\":[{\"antenna\":1,\"mastM\":0},{\"antenna\":\"x\"}]}}', plan.runs[1].antenna",
        "/api/measurements, '{\"campsite\":', body",
        "/api/measurements, '{\"note\":\"a\",\"note\":\"b\"}', note",
        "/api/setups/check, '{\"plan\":{\"mode\":\"automatic\",\"mode\":\"locked\"}}', plan.mode",
        "/api/measurements, '[1,2', body"
    })
    void a_fault_names_its_field(String path, String body, String field) throws Exception {
        Requests.Answer answer = new Requests(mvc)
                .ask(post(path).contentType(MediaType.APPLICATION_JSON).content(body));
        assertEquals(400, answer.status());
        assertEquals(field, answer.json().at("/errors/0/field").asText(), answer.text());
    }
}

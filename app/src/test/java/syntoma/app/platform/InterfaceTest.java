package syntoma.app.platform;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import syntoma.app.ApiTest;

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

    private String policy() throws Exception {
        return mvc.perform(get("/api/bands")).andReturn().getResponse().getHeader("Content-Security-Policy");
    }

    @Test
    void another_host_name_and_another_site_are_turned_away() throws Exception {
        assertEquals(
                421,
                mvc.perform(get("http://evil.example/api/bands"))
                        .andReturn()
                        .getResponse()
                        .getStatus());
        assertEquals(
                403,
                mvc.perform(put("/api/standing")
                                .header("Sec-Fetch-Site", "cross-site")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content("{}"))
                        .andReturn()
                        .getResponse()
                        .getStatus());
    }
}

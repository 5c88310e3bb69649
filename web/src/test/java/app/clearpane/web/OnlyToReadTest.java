package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import app.clearpane.core.project.Project;
import app.clearpane.usecases.security.Person;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;

/** What managers set, makers read: the same values, and nothing to press. */
class OnlyToReadTest extends DemoHouse {
    @Autowired
    private WebApplicationContext context;

    private Document page(String path, String address) throws Exception {
        Person.OfTeam who = member(address);
        var signedIn = UsernamePasswordAuthenticationToken.authenticated(
                who, "", AuthorityUtils.createAuthorityList("ROLE_TEAM", "ROLE_" + who.role()));
        return Jsoup.parse(MockMvcBuilders.webAppContextSetup(context)
                .apply(springSecurity())
                .build()
                .perform(get(path).with(authentication(signedIn)))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** What stands in the fields of everything that says something, by what it is called. */
    private static Map<String, String> says(Document page) {
        Map<String, String> told = new LinkedHashMap<>();
        for (Element field :
                page.select("[data-says] select, [data-says] input:not([type=hidden]), [data-says] textarea")) {
            String value = field.tagName().equals("select")
                    ? field.select("option[selected]").text()
                    : field.tagName().equals("textarea")
                            ? field.text()
                            : field.attr("value") + (field.hasAttr("checked") ? ", ticked" : "");
            told.merge(field.attr("name") + " " + field.attr("aria-label"), value, (one, other) -> one + " | " + other);
        }
        return told;
    }

    @Test
    void makersReadEverythingThatManagersSet() throws Exception {
        int compared = 0;
        for (Project project : projects.active()) {
            for (String path : new String[] {
                "/t/projects/" + project.id() + "/panes", "/t/projects/" + project.id() + "/plan?as=dates"
            }) {
                Document manager = page(path, "ines@marram-finch.example");
                Document maker = page(path, "teo@marram-finch.example");
                assertThat(says(maker)).as(path).isEqualTo(says(manager));
                assertThat(maker.select(
                                "[data-says] select, [data-says] input:not([type=hidden]), [data-says] textarea"))
                        .as(path)
                        .allMatch(field -> field.hasAttr("disabled"));
                assertThat(maker.select("[data-says] button, form[action][method=post] [name=aperture]"))
                        .as(path)
                        .isEmpty();
                assertThat(maker.select("input[form=many]")).as(path).isEmpty();
                assertThat(manager.select("[data-says] :is(select, input, textarea)[disabled]:not([name=signer])"))
                        .as(path)
                        .isEmpty();
                compared += says(manager).size();
            }
        }
        assertThat(compared).isGreaterThan(60);
    }
}

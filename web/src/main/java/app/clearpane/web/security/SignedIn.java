package app.clearpane.web.security;

import app.clearpane.usecases.security.Person;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.AuthorityUtils;

/** What Spring Security keeps of somebody who is signed in. */
final class SignedIn {
    private SignedIn() {}

    static Authentication as(Person person) {
        return UsernamePasswordAuthenticationToken.authenticated(person, "", authorities(person));
    }

    /** Who may do nothing yet. */
    static Authentication half(HalfIn someone) {
        return UsernamePasswordAuthenticationToken.authenticated(someone, "", AuthorityUtils.NO_AUTHORITIES);
    }

    private static List<GrantedAuthority> authorities(Person person) {
        return person instanceof Person.OfTeam member
                ? AuthorityUtils.createAuthorityList("ROLE_TEAM", "ROLE_" + member.role())
                : AuthorityUtils.createAuthorityList("ROLE_CLIENT");
    }
}

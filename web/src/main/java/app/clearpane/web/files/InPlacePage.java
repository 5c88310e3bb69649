package app.clearpane.web.files;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/**
 * A page that holds nothing but what an address leads to. It stands in a frame, so that no other page ever lets in
 * anything from elsewhere.
 */
@Component
public class InPlacePage {
    /** The page of an address at a host that an owner named. */
    public String show(String address, String name, Model model, HttpServletResponse response) {
        response.setHeader(
                "Content-Security-Policy",
                "default-src 'none'; style-src 'self'; base-uri 'none'; frame-ancestors 'self'; frame-src https://"
                        + URI.create(address).getHost());
        model.addAttribute("address", address);
        model.addAttribute("name", name);
        return "files/in-place";
    }
}

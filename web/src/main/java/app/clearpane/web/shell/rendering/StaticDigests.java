package app.clearpane.web.shell.rendering;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/**
 * Gives the addresses of style sheets, scripts, fonts and art the digest of their content, each worked out once.
 * Spring's own filter looks every link of every page up among all static resources, which took half the time of a page.
 */
public final class StaticDigests extends ResourceUrlEncodingFilter {
    private static final Pattern STATIC = Pattern.compile("/(css|js|fonts|vendor|art)/[^?#]+");
    private final ObjectProvider<ResourceUrlProvider> resources;
    private final Map<String, String> known = new ConcurrentHashMap<>();

    public StaticDigests(ObjectProvider<ResourceUrlProvider> resources) {
        this.resources = resources;
    }

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(request, new HttpServletResponseWrapper((HttpServletResponse) response) {
            @Override
            public String encodeURL(String url) {
                return STATIC.matcher(url).matches()
                        ? known.computeIfAbsent(url, StaticDigests.this::withDigest)
                        : super.encodeURL(url);
            }
        });
    }

    private String withDigest(String path) {
        String found = resources.getObject().getForLookupPath(path);
        return found == null ? path : found;
    }
}

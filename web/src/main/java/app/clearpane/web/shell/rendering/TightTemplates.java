package app.clearpane.web.shell.rendering;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.util.FileCopyUtils;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templateresource.ITemplateResource;
import org.thymeleaf.templateresource.StringTemplateResource;

/** Reads templates without the indentation that makes them legible, so that none of it is sent. */
public final class TightTemplates extends SpringResourceTemplateResolver {

    @Override
    protected ITemplateResource computeTemplateResource(
            IEngineConfiguration configuration,
            @Nullable String ownerTemplate,
            String template,
            String resourceName,
            @Nullable String characterEncoding,
            @Nullable Map<String, Object> attributes) {
        ITemplateResource read = super.computeTemplateResource(
                configuration, ownerTemplate, template, resourceName, characterEncoding, attributes);
        return read.exists() ? new StringTemplateResource(tight(text(read))) : read;
    }

    private static String text(ITemplateResource resource) {
        try (Reader reader = resource.reader()) {
            return FileCopyUtils.copyToString(reader);
        } catch (IOException e) {
            throw new UncheckedIOException("the template " + resource.getDescription() + " cannot be read", e);
        }
    }

    /**
     * The same page: an end of a line in its text is a blank, also where words keep their lines, a tag stands in one
     * line, and so does what it says of itself.
     */
    static String tight(String template) {
        StringBuilder tight = new StringBuilder(template.length());
        int at = 0;
        while (at < template.length()) {
            if (template.startsWith("<!--", at)) {
                int end = template.indexOf("-->", at) + 3;
                tight.append(template, at, end);
                at = end;
            } else if (isTag(template, at)) {
                at = tag(template, at, tight);
            } else {
                char next = template.charAt(at++);
                tight.append(next == '\n' ? ' ' : next);
                while (next == '\n' && at < template.length() && Character.isWhitespace(template.charAt(at))) {
                    at++;
                }
            }
        }
        return tight.toString();
    }

    private static boolean isTag(String template, int at) {
        return template.charAt(at) == '<'
                && at + 1 < template.length()
                && (Character.isLetter(template.charAt(at + 1)) || template.charAt(at + 1) == '/');
    }

    /** Copies a tag with one blank for each end of a line, and none before its own end. @return where it ends */
    private static int tag(String template, int from, StringBuilder tight) {
        char quote = 0;
        int at = from;
        while (quote != 0 || template.charAt(at) != '>') {
            char next = template.charAt(at++);
            if (next == '\n') {
                while (template.charAt(at) == ' ' || template.charAt(at) == '\n') {
                    at++;
                }
                tight.append(' ');
            } else {
                tight.append(next);
            }
            if (quote == 0 && (next == '"' || next == '\'')) {
                quote = next;
            } else if (next == quote) {
                quote = 0;
            }
        }
        if (endsWithBlank(tight)) {
            tight.setLength(tight.length() - 1);
        }
        tight.append('>');
        return at + 1;
    }

    private static boolean endsWithBlank(StringBuilder text) {
        return text.charAt(text.length() - 1) == ' ';
    }
}

package app.clearpane.web.shell.rendering;

import app.clearpane.core.agency.TeamRole;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.shell.access.PermittedForms;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The rows of long lists as HTML. Most of them are the same each time a list is looked at, so what was written out once
 * for the same row is not written out again. A row's template knows its row as {@code row}, writes its links out and
 * puts {@code token} into its forms.
 */
@Component
public class RenderedRows {
    /** Characters kept in all, which are as many bytes. */
    private static final long MOST = 16_000_000;
    /** What a kept row takes beside its characters. */
    private static final int BESIDE = 400;
    /** Stands in each form where the token of whoever looks goes. */
    private static final String TOKEN = UUID.randomUUID().toString();

    private final Pages pages;
    private final Words words;
    private final Cache<Key, String> kept = Caffeine.newBuilder()
            .maximumWeight(MOST)
            .<Key, String>weigher((key, html) -> html.length() + BESIDE)
            .build();

    RenderedRows(Pages pages, Words words) {
        this.pages = pages;
        this.words = words;
    }

    /** @param role of whoever looks, since forms that are not for it are left out */
    private record Key(String template, Record row, LocalDate today, Optional<TeamRole> role) {}

    /**
     * Them one after another.
     *
     * @param rows all that their template asks for; what is equal looks the same
     * @param token of whoever looks, for the forms in them; empty where there are none
     */
    public String html(String template, List<? extends Record> rows, String token) {
        LocalDate day = words.today();
        Optional<TeamRole> role = PermittedForms.role();
        return rows.stream()
                .map(row -> kept.get(new Key(template, row, day, role), this::written))
                .collect(Collectors.joining())
                .replace(TOKEN, token);
    }

    private String written(Key key) {
        return pages.render(key.template(), Map.of("row", key.row(), "token", TOKEN));
    }
}

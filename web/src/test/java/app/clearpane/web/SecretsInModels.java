package app.clearpane.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.RecordComponent;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentSkipListSet;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Looks through whatever pages are made of, at every request of every test, for records that carry a secret or its
 * hash.
 */
@TestConfiguration(proxyBeanMethods = false)
public class SecretsInModels implements WebMvcConfigurer {
    private static final Pattern SECRET =
            Pattern.compile("(?i).*(passcode|password|secret|key|token).*hash|password|passcode|secret|keyHash");
    private static final Set<String> FOUND = new ConcurrentSkipListSet<>();
    private static final int MOST = 20_000;

    /** The components that were found, as "Record.component on /address". */
    static Set<String> found() {
        return new TreeSet<>(FOUND);
    }

    static void forget(String where) {
        FOUND.removeIf(one -> one.endsWith(where));
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new HandlerInterceptor() {
            @Override
            public void postHandle(
                    HttpServletRequest request,
                    HttpServletResponse response,
                    Object handler,
                    @Nullable ModelAndView page) {
                if (page != null) {
                    walk(page.getModel().values(), request.getRequestURI());
                }
            }
        });
    }

    /** Looks through values and all they hold. */
    static void walk(Collection<?> values, String where) {
        Map<Object, Boolean> seen = new IdentityHashMap<>();
        Deque<Object> left = new ArrayDeque<>();
        values.stream().filter(java.util.Objects::nonNull).forEach(left::add);
        while (!left.isEmpty() && seen.size() < MOST) {
            Object one = left.poll();
            if (seen.put(one, true) != null) {
                continue;
            }
            if (one instanceof Map<?, ?> map) {
                map.forEach((key, value) -> push(left, key, value));
            } else if (one instanceof Collection<?> many) {
                many.forEach(each -> push(left, each));
            } else if (one instanceof Optional<?> maybe) {
                maybe.ifPresent(left::add);
            } else if (one instanceof Record record) {
                components(record, left, where);
            }
        }
    }

    private static void push(Deque<Object> left, @Nullable Object... some) {
        for (Object one : some) {
            if (one != null) {
                left.add(one);
            }
        }
    }

    private static void components(Record record, Deque<Object> left, String where) {
        for (RecordComponent component : record.getClass().getRecordComponents()) {
            if (SECRET.matcher(component.getName()).matches() && component.getType() == String.class) {
                FOUND.add(record.getClass().getSimpleName() + "." + component.getName() + " on "
                        + where.replaceAll("[0-9a-f-]{36}", "…"));
            }
            try {
                component.getAccessor().setAccessible(true);
                push(left, component.getAccessor().invoke(record));
            } catch (ReflectiveOperationException | RuntimeException hidden) {
                // what cannot be read here cannot be read by a template
            }
        }
    }
}

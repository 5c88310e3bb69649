package app.clearpane.web;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.impl.DefaultExecuteListenerProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Writes down which statements each address asks while it is answered; jobs and other addresses do not mix in. */
@Configuration(proxyBeanMethods = false)
class AskedStatements {
    private final Map<String, List<String>> byAddress = new ConcurrentHashMap<>();

    List<String> of(String path) {
        return byAddress.getOrDefault(path, List.of());
    }

    void forget() {
        byAddress.clear();
    }

    @Bean
    DefaultExecuteListenerProvider writesDown() {
        return new DefaultExecuteListenerProvider(new ExecuteListener() {
            @Override
            public void executeStart(ExecuteContext context) {
                if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request) {
                    byAddress
                            .computeIfAbsent(request.getRequest().getRequestURI(), uri -> new CopyOnWriteArrayList<>())
                            .add(String.valueOf(context.sql()));
                }
            }
        });
    }
}

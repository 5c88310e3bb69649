package app.clearpane.web.shell.forms;

import app.clearpane.usecases.shell.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Stops a form whose page showed something that somebody changed meanwhile, and says how it stands now; what was typed
 * is given back. From the look until it is saved no other such form is let in, so that of two at the same instant the
 * second sees what the first did.
 */
@Component
public class StaleForms implements HandlerInterceptor {
    private final Map<String, FormStates.FormState> states;
    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private final ReentrantLock oneAtATime = new ReentrantLock(true);

    StaleForms(List<FormStates> rooms) {
        states = rooms.stream()
                .flatMap(room -> room.states().stream())
                .collect(Collectors.toMap(FormStates.FormState::route, state -> state));
    }

    /** The addresses whose forms say what their page showed. */
    java.util.Set<String> routes() {
        return states.keySet();
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        FormStates.FormState state =
                states.get(String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE)));
        if (state == null || !request.getMethod().equals("POST")) {
            return true;
        }
        String before = request.getParameter(FormStates.BEFORE);
        if (before == null) {
            return true;
        }
        if (!oneAtATime.tryLock()) {
            await();
        }
        boolean goesOn = false;
        try {
            look(state, before, request);
            goesOn = true;
        } finally {
            if (!goesOn) {
                oneAtATime.unlock();
            }
        }
        return true;
    }

    private void await() {
        try {
            if (!oneAtATime.tryLock(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                throw Refused.because("Too much is being saved just now. Nothing was changed; try again in a minute.");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw Refused.because("The house stops. Nothing was changed; try again when it is back.");
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        while (oneAtATime.isHeldByCurrentThread()) {
            oneAtATime.unlock();
        }
    }

    private static void look(FormStates.FormState state, String before, HttpServletRequest request) {
        FormStates.Asked asked = new FormStates.Asked(request);
        Optional<String> now = state.now().apply(asked);
        boolean same = now.filter(before::equals).isPresent();
        boolean asWanted = request.getParameter(state.wanted()) != null
                && now.filter(asked.field(state.wanted())::equals).isPresent();
        if (now.isPresent() && !same && !asWanted) {
            throw Refused.changedMeanwhile(
                    "Somebody changed this while your page was open. It stands now as: “"
                            + state.inWords().apply(now.get()) + "”. Your page showed: “"
                            + state.inWords().apply(before) + "”.",
                    "Nothing was saved over it. Open the page anew, then do it again if it is still wanted.");
        }
    }
}

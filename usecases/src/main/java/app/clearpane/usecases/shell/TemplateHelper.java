package app.clearpane.usecases.shell;

import org.springframework.stereotype.Component;

/**
 * Words that templates use: a component of this kind is there in every template under its own name. Templates cannot
 * reach other components.
 */
public interface TemplateHelper {
    /** The name templates call it by. */
    String name();

    /** Puts all speech into every model. */
    @Component
    final class Everywhere {
        private final java.util.List<TemplateHelper> all;

        Everywhere(java.util.List<TemplateHelper> all) {
            this.all = all;
        }

        /** All of it, by name. */
        public java.util.Map<String, Object> byName() {
            java.util.Map<String, Object> byName = new java.util.HashMap<>();
            all.forEach(speech -> byName.put(speech.name(), speech));
            return byName;
        }
    }
}

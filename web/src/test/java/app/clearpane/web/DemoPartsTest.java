package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.demo.DemoParts;
import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.AnnotationBeanNameGenerator;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.type.filter.AnnotationTypeFilter;

/** What the house says is not for the demo is what the demo takes out of a house whose parts are already wired. */
class DemoPartsTest {
    private static List<BeanDefinition> found(Class<? extends Annotation> with) {
        ClassPathScanningCandidateComponentProvider scan = new ClassPathScanningCandidateComponentProvider(false);
        scan.addIncludeFilter(new AnnotationTypeFilter(with));
        return List.copyOf(scan.findCandidateComponents(ClearPane.class.getPackageName()));
    }

    private static Class<?> type(BeanDefinition part) {
        try {
            return Class.forName(part.getBeanClassName());
        } catch (ClassNotFoundException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void everyPartThatTheDemoDoesNotHaveIsTakenOut() {
        Stream<String> parts = found(Profile.class).stream()
                .map(part ->
                        AnnotationBeanNameGenerator.INSTANCE.generateBeanName(part, new GenericApplicationContext()));
        Stream<String> made = found(Configuration.class).stream()
                .map(DemoPartsTest::type)
                .flatMap(type -> Arrays.stream(type.getDeclaredMethods()))
                .filter(method -> method.isAnnotationPresent(Profile.class))
                .map(Method::getName);
        Set<String> named = new TreeSet<>(DemoParts.NOT_IN_THE_DEMO);
        assertThat(named.remove("mailSender"))
                .as("what the framework makes for real mail")
                .isTrue();
        assertThat(Stream.concat(parts, made)).containsExactlyInAnyOrderElementsOf(named);
    }
}

package app.clearpane.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.web.ClearPane;
import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.AnnotationBeanNameGenerator;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.env.StandardEnvironment;
import org.springframework.core.type.filter.AnnotationTypeFilter;

/** A demo whose house was wired while packaging has the same parts as one that finds them when it starts. */
class DemoPartsTest {
    private static final String ROOMS = ClearPane.class.getPackageName();

    private static List<BeanDefinition> found(
            Class<? extends java.lang.annotation.Annotation> with, String... profiles) {
        StandardEnvironment environment = new StandardEnvironment();
        environment.setActiveProfiles(profiles);
        ClassPathScanningCandidateComponentProvider scan =
                new ClassPathScanningCandidateComponentProvider(false, environment);
        scan.addIncludeFilter(new AnnotationTypeFilter(with));
        return new ArrayList<>(scan.findCandidateComponents(ROOMS));
    }

    private static Class<?> type(BeanDefinition part) {
        try {
            return Class.forName(part.getBeanClassName());
        } catch (ClassNotFoundException e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void everyPartThatOnlyTheDemoHasIsPutIn() {
        List<Class<?>> only = new ArrayList<>(DemoParts.PARTS);
        only.add(DemoSetup.class);
        assertThat(found(Profile.class, "demo").stream().<Class<?>>map(DemoPartsTest::type))
                .containsExactlyInAnyOrderElementsOf(only);
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

    @Test
    void whatTheSetUpMakesIsAsManyAsAreRegistered() {
        assertThat(Arrays.stream(DemoSetup.class.getDeclaredMethods())
                        .filter(method -> method.isAnnotationPresent(Bean.class))
                        .map(Method::getName))
                .containsExactlyInAnyOrder("demoClock", "queueTime", "world", "toTheWorld");
    }
}

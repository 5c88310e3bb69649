package app.clearpane.demo;

import app.clearpane.usecases.jobs.QueueTime;
import com.icegreen.greenmail.util.GreenMail;
import java.util.List;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.support.AbstractBeanDefinition;
import org.springframework.beans.factory.support.BeanDefinitionRegistry;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.mail.javamail.JavaMailSender;

/**
 * Puts what only the demo has into a house, and takes out what the demo has its own of, whether the house's parts were
 * wired when it was built or are found when it starts. A house that is opened for real does not have this on its class
 * path.
 */
public final class DemoParts implements ApplicationContextInitializer<GenericApplicationContext> {
    /** The parts that only the demo has, beside those that {@link DemoSetup} makes. */
    private static final List<Class<?>> PARTS = List.of(
            Paperwork.class,
            Supplies.class,
            Cast.class,
            PlanStory.class,
            WordsOfStory.class,
            SupplyStory.class,
            DemoStory.class,
            StartDemo.class,
            WaysToSignIn.class,
            PostRoomController.class);
    /** What the demo has its own of, by name. */
    public static final List<String> NOT_IN_THE_DEMO =
            List.of("clock", "realQueueTime", "mailSender", "announceAddress");

    @Override
    public void initialize(GenericApplicationContext house) {
        if (!house.getEnvironment().matchesProfiles("demo")) {
            return;
        }
        DemoSetup setup = new DemoSetup();
        house.registerBean(
                "demoClock",
                DemoClock.class,
                () -> setup.demoClock(house.getEnvironment().getProperty("clearpane.demo.now", "")));
        house.registerBean("queueTime", QueueTime.class, () -> setup.queueTime(house.getBean(DemoClock.class)));
        house.registerBean(
                "world", GreenMail.class, setup::world, definition -> definition.setDestroyMethodName("stop"));
        house.registerBean(
                "toTheWorld",
                JavaMailSender.class,
                () -> setup.toTheWorld(
                        house.getBean(GreenMail.class),
                        house.getEnvironment().getProperty("clearpane.demo.mail-port", Integer.class, 0)));
        PARTS.forEach(part -> house.registerBean(part, DemoParts::givenWhatItNeeds));
        house.addBeanFactoryPostProcessor(parts -> NOT_IN_THE_DEMO.stream()
                .filter(parts::containsBeanDefinition)
                .forEach(((BeanDefinitionRegistry) parts)::removeBeanDefinition));
    }

    private static void givenWhatItNeeds(BeanDefinition part) {
        ((AbstractBeanDefinition) part).setAutowireMode(AbstractBeanDefinition.AUTOWIRE_CONSTRUCTOR);
    }
}

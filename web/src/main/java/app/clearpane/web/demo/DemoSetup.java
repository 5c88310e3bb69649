package app.clearpane.web.demo;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;

/** What stands in for the outside world in the demo: a mail server of its own, and a clock that can be set back. */
@Configuration(proxyBeanMethods = false)
@Profile("demo")
class DemoSetup {

  @Bean
  DemoClock demoClock() {
    return new DemoClock();
  }

  @Bean(destroyMethod = "stop")
  GreenMail world() {
    GreenMail world = new GreenMail(new ServerSetup(0, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
    world.start();
    return world;
  }

  @Bean
  JavaMailSender toTheWorld(GreenMail world) {
    JavaMailSenderImpl sender = new JavaMailSenderImpl();
    sender.setHost("127.0.0.1");
    sender.setPort(world.getSmtp().getPort());
    return sender;
  }
}

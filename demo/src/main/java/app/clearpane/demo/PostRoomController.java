package app.clearpane.demo;

import app.clearpane.store.post.Mails;
import app.clearpane.usecases.shell.NotFound;
import com.icegreen.greenmail.util.GreenMail;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The post room of the demo: every mail that was sent, per reader, as they would read it. */
@Controller
public class PostRoomController {
    private final Mails mails;
    private final Clock clock;
    private final GreenMail world;

    PostRoomController(GreenMail world, Mails mails, Clock clock) {
        this.mails = mails;
        this.clock = clock;
        this.world = world;
    }

    @GetMapping("/post-room")
    String all(@RequestParam(required = false) String reader, @RequestParam(required = false) String mail, Model model)
            throws MessagingException, IOException {
        List<Delivered> all = Delivered.all(world.getReceivedMessages());
        List<Delivered> shown = all.stream()
                .filter(one ->
                        reader == null || reader.isEmpty() || one.address().equals(reader))
                .toList();
        model.addAttribute("readers", Delivered.readers(all));
        model.addAttribute("reader", reader == null || reader.isEmpty() ? null : reader);
        model.addAttribute("mails", shown);
        model.addAttribute("waiting", mails.waiting(clock.instant()));
        model.addAttribute(
                "open",
                shown.stream()
                        .filter(one -> one.id().equals(mail))
                        .findFirst()
                        .orElse(shown.isEmpty() ? null : shown.get(0)));
        return "post/room";
    }

    /**
     * The mail as its reader's program would show it: in a frame that runs nothing, whose links open in a page of their
     * own.
     */
    @GetMapping("/post-room/{mail}")
    ResponseEntity<String> html(@PathVariable String mail) throws MessagingException, IOException {
        Delivered found = NotFound.unless(Delivered.all(world.getReceivedMessages()).stream()
                .filter(one -> one.id().equals(mail))
                .findFirst());
        return ResponseEntity.ok()
                .header("Content-Type", "text/html;charset=UTF-8")
                .header(
                        "Content-Security-Policy",
                        "sandbox allow-popups allow-popups-to-escape-sandbox; default-src 'none'; style-src "
                                + "'unsafe-inline'; frame-ancestors 'self'")
                .body(found.html().replace("<head>", "<head><base target=\"_blank\">"));
    }
}

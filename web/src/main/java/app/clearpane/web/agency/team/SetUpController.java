package app.clearpane.web.agency.team;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.usecases.agency.SetUp;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.security.ComeIn;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** The first page of a new house: walks its first owner through setting up. Gone once there is an agency. */
@Controller
class SetUpController {
    private final SetUp setUp;
    private final SetUpCode code;
    private final TheAgency agency;
    private final ComeIn comeIn;

    SetUpController(SetUp setUp, SetUpCode code, TheAgency agency, ComeIn comeIn) {
        this.code = code;
        this.comeIn = comeIn;
        this.setUp = setUp;
        this.agency = agency;
    }

    record SetUpForm(String code, String agency, String zone, String name, String email, String password) {
        TeamMember found(SetUp setUp, SetUpCode expected) {
            Input input = new Input();
            input.require(
                    expected.isIt(code),
                    "The code is another one. It stands on the console where this house was started.");
            Optional<Name> agencyName = input.name("The agency", agency);
            Optional<Name> ownerName = input.name("Your name", name);
            Optional<EmailAddress> address = input.email("Your mail address", email);
            input.require(ZoneId.getAvailableZoneIds().contains(zone), "Choose one of the time zones.");
            SetUp.checkPassword(input, password);
            input.allGood();
            return setUp.found(
                    agencyName.orElseThrow(),
                    ZoneId.of(zone),
                    new SetUp.Joining(ownerName.orElseThrow(), address.orElseThrow(), TeamRole.OWNER, password));
        }
    }

    @GetMapping("/set-up")
    String blank(Model model) {
        if (agency.isFounded()) {
            throw new NotFound();
        }
        List<String> zones = ZoneId.getAvailableZoneIds().stream()
                .filter(zone -> zone.matches("(Africa|America|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.*"))
                .sorted()
                .toList();
        model.addAttribute("zones", zones);
        model.addAttribute("zone", "Europe/London");
        return "agency/set-up";
    }

    @PostMapping("/set-up")
    String found(SetUpForm form, HttpServletRequest request, HttpServletResponse response) {
        if (agency.isFounded()) {
            throw new NotFound();
        }
        comeIn.asMember(form.found(setUp, code), request, response);
        return "redirect:/t";
    }
}

package app.clearpane.web.brand.team;

import app.clearpane.store.agency.HousePictures;
import app.clearpane.web.shell.forms.FormStates;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The form of the agency's colour, with what it was shown with. */
@Component
class BrandForms implements FormStates {
    private final HousePictures pictures;

    BrandForms(HousePictures pictures) {
        this.pictures = pictures;
    }

    @Override
    public List<FormState> states() {
        return List.of(FormState.of("/t/brand/accent", "accent", asked -> Optional.of(pictures.accent())));
    }
}

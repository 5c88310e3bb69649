package app.clearpane.web.said;

import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.web.House;
import app.clearpane.web.deliverable.FileNames;
import app.clearpane.web.layout.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** Keeps files that come with what is said. */
@Component
public class Attach {
  /** More files than this do not come with one note. */
  static final int MOST = 10;
  private final Vault vault;
  private final House house;

  Attach(Vault vault, House house) {
    this.vault = vault;
    this.house = house;
  }

  /**
   * Stores them. What is stored but never named by a note does no harm.
   *
   * @param files as a form sends them: a field that was left empty sends one without a name
   * @throws IOException if one cannot be written
   * @throws Refused if one is empty or there are too many; nothing is kept
   */
  public List<MarkupRow.Attachment> kept(@Nullable List<MultipartFile> files) throws IOException {
    List<MultipartFile> chosen = files == null ? List.of() : files.stream().filter(file -> !Objects.requireNonNullElse(file.getOriginalFilename(), "").isEmpty()).toList();
    if (chosen.size() > MOST) {
      throw Refused.because("Up to " + MOST + " files go with one note, and these are " + chosen.size() + ". Nothing was saved; leave some for another note, or put them in one archive.");
    }
    List<MarkupRow.Attachment> kept = new ArrayList<>();
    for (MultipartFile file : chosen) {
      kept.add(kept(file));
    }
    return kept;
  }

  private MarkupRow.Attachment kept(MultipartFile file) throws IOException {
    String name = FileNames.safe(Objects.requireNonNull(file.getOriginalFilename()));
    if (file.isEmpty()) {
      throw Refused.because("“" + name + "” is empty: it has 0 bytes. Nothing was saved; save it again where you made it and choose it once more.");
    }
    try (InputStream content = file.getInputStream()) {
      return kept(name, content);
    }
  }

  /** Stores one file. @param name as it may stand on a page @throws IOException if it cannot be written */
  public MarkupRow.Attachment kept(String name, InputStream content) throws IOException {
    Vault.Stored stored = vault.store(content, house.largestUpload().toBytes());
    return new MarkupRow.Attachment(UUID.randomUUID(), stored.sha256(), name, ContentType.of(vault.path(stored.sha256())), stored.size());
  }
}

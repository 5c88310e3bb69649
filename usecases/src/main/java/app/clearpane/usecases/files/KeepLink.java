package app.clearpane.usecases.files;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.FileActs;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.NewItem;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.WebAddress;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps an address on the web among the files, shown, held back and told of as they are. */
@Component
public class KeepLink {
    private final ProjectFiles files;
    private final Projects projects;
    private final Vault vault;
    private final NewItem newItem;
    private final AuditLog audit;

    KeepLink(ProjectFiles files, Projects projects, Vault vault, NewItem newItem, AuditLog audit) {
        this.files = files;
        this.projects = projects;
        this.vault = vault;
        this.newItem = newItem;
        this.audit = audit;
    }

    /** Keeps one. @throws IOException if it cannot be written; nothing is kept */
    @Transactional(rollbackFor = IOException.class)
    public ItemId add(ProjectId project, Optional<ItemId> folder, String name, String address, Actor by)
            throws IOException {
        NotFound.unless(projects.find(project));
        Input input = new Input();
        Optional<Name> named = input.name("The link", name);
        String leads = address.strip();
        input.require(
                WebAddress.isOne(leads) && WebAddress.isPublic(leads),
                "Where it leads: type an address that others can open, beginning with https://.");
        input.allGood();
        if (folder.isPresent()
                && files.folders(project).stream().noneMatch(one -> one.id().equals(folder.get()))) {
            throw new NotFound();
        }
        byte[] bytes = (leads + "\r\n").getBytes(StandardCharsets.UTF_8);
        Vault.Stored stored = vault.store(new ByteArrayInputStream(bytes), bytes.length);
        String called = named.orElseThrow().value();
        ItemId item = newItem.add(project, ContentKind.FILES, called, folder, by);
        files.addFile(item, stored, ProjectFile.LINK, by);
        audit.append(project, item.value(), new FileActs.FileLinked(by, called, leads));
        return item;
    }

    /** Where a link leads; empty for a file. */
    public Optional<String> address(ProjectFile file) {
        if (!file.isLink()) {
            return Optional.empty();
        }
        try {
            return Files.readString(vault.path(file.sha256()))
                    .lines()
                    .filter(line -> !line.startsWith("#") && WebAddress.isOne(line))
                    .findFirst();
        } catch (IOException unreadable) {
            return Optional.empty();
        }
    }
}

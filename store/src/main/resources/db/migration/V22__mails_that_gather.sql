-- What a mail that waits says so far, a line each, so that what follows within minutes goes out in one.
alter table mail add said_so_far text;

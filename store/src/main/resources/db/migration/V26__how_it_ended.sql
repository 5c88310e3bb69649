-- How a project ended that was put away, and what was said of it; the team's alone but for the word.
alter table project add ended varchar(16) check (position('|' || ended || '|' in '|FINISHED|STOPPED|LOST|') > 0);
alter table project add ended_because varchar(1600) default '' not null;
update project set ended = 'FINISHED' where archived_at is not null;
alter table project add constraint put_away_with_how check ((archived_at is null) = (ended is null));

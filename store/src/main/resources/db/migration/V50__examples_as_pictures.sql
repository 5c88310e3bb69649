-- A part of a request may show what would be just right, and what would not do, as pictures.
alter table house_picture rename to house_picture_before;
create table house_picture (
  subject_id uuid not null,
  role varchar(16) not null,
  sha256 varchar(64) not null,
  media_type varchar(64) not null,
  primary key (subject_id, role),
  constraint house_picture_has_a_role
    check (position('|' || role || '|' in '|FACE|LOGO|COVER|GOOD_EXAMPLE|BAD_EXAMPLE|') > 0)
);
insert into house_picture (subject_id, role, sha256, media_type)
  select subject_id, role, sha256, media_type from house_picture_before;
drop table house_picture_before;

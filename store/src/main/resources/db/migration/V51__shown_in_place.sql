-- Hosts whose documents are shown in place, and the last picture of one that is not, with the day it was taken.
alter table agency add shown_hosts varchar(2000) default '' not null;
alter table house_picture add taken_at timestamp(9) with time zone;
alter table house_picture drop constraint house_picture_has_a_role;
alter table house_picture add constraint house_picture_has_a_role
  check (position('|' || role || '|' in '|FACE|LOGO|COVER|GOOD_EXAMPLE|BAD_EXAMPLE|LAST_LOOK|') > 0);

-- What is deleted takes along all that lies in it. Each thing remembers the one whose deletion took it, so that bringing that one back brings back the same and nothing else.
alter table item add column deleted_root_id uuid;
alter table item add constraint item_deleted_root foreign key (deleted_root_id) references item;
create index item_deleted_root_of on item (deleted_root_id);

update item set deleted_root_id = id where deleted_at is not null;

update item set deleted_root_id = (
  select above.ancestor_id from item_ancestor above
  join item gone on gone.id = above.ancestor_id and gone.deleted_at is not null
  where above.item_id = item.id
  order by above.depth
  limit 1)
where deleted_at is null;

update item set deleted_at = (select gone.deleted_at from item gone where gone.id = item.deleted_root_id)
where deleted_at is null and deleted_root_id is not null;

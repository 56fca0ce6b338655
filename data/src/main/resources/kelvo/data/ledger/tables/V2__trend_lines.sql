alter table level add column rise real not null default 0;

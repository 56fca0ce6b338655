-- Which rules made a hit: the version of its scan, and each version as the scan file of its day.
alter table hit add column scan_version text not null default '';
create table scan_version (version text primary key, scan text not null, json text not null, first_day text not null);

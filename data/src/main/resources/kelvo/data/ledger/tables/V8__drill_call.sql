-- What was called in drills, a row each time. Prices in dollars and parts of the entry are texts, so
-- that no digit is lost; one that is not known is empty, as the exit of who stayed out.
create table drill_call (id integer primary key, day text not null, symbol text not null, at integer not null,
  entered_at integer not null, entry text not null, call text not null, stop text not null, exit_at integer not null,
  exit_price text not null, result text not null, multiple text not null, stopped integer not null, by_scan text not null);

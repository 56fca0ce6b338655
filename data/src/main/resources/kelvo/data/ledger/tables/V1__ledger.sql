-- One file holds the trader's days. Moments are nanoseconds since midnight, New York; prices and fees
-- are 1/10,000 dollar.
create table decision (id integer primary key, day text not null, at integer not null, symbol text not null,
  choice text not null, reason text not null, side text not null, bucket text not null, plan text not null);
create table level (id integer primary key, day text not null, symbol text not null, price integer not null,
  kind text not null, set_at integer not null, removed_at integer not null);
create table note (id integer primary key, day text not null, at integer not null, symbol text not null, text text not null);
create table focus (id integer primary key, day text not null, symbol text not null, from_at integer not null, to_at integer not null);
create table fill (id integer primary key, day text not null, at integer not null, symbol text not null, side text not null,
  quantity integer not null, price integer not null, fee integer not null, account text not null, order_id text not null,
  same integer not null,
  unique (day, at, symbol, side, quantity, price, account, order_id, same));
create table hit (id integer primary key, day text not null, at integer not null, scan text not null, side text not null,
  symbol text not null, trigger_words text not null, price integer not null, field_values text not null,
  unique (day, at, scan, symbol, trigger_words));
create table place (day text primary key, moment integer not null);

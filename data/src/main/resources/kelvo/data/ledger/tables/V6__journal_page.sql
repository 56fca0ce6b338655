-- What the trader says of a day in hindsight; the newest word on each thing counts. Tags are lines.
create table remark (day text not null, kind text not null, symbol text not null, account text not null, at integer not null,
  text text not null, tags text not null, primary key (day, kind, symbol, account, at));
create table hand_match (day text not null, symbol text not null, account text not null, at integer not null,
  says text not null, move_start integer not null, primary key (day, symbol, account, at));
create table rule_kept (day text not null, rule text not null, answer text not null, primary key (day, rule));

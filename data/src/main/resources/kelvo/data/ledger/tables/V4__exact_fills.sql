-- Fractions of shares, and prices and fees of up to six decimals: exact decimals as text, where
-- there were whole shares and ten-thousandths of a dollar.
create table exact_fill (id integer primary key, day text not null, at integer not null, symbol text not null, side text not null,
  quantity text not null, price text not null, fee text not null, account text not null, order_id text not null,
  same integer not null,
  unique (day, at, symbol, side, quantity, price, account, order_id, same));
insert into exact_fill
  select id, day, at, symbol, side, cast(quantity as text),
    rtrim(rtrim(printf('%.4f', price / 10000.0), '0'), '.'),
    rtrim(rtrim(printf('%.4f', fee / 10000.0), '0'), '.'),
    account, order_id, same
  from fill;
drop table fill;
alter table exact_fill rename to fill;

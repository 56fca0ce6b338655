-- Trading on paper in recorded sessions, apart from the trader's own fills. Prices of orders are
-- 1/10,000 dollar, 0 for none; a cancellation names the order alone.
create table practice_order (day text not null, place integer not null, at integer not null, order_id integer not null,
  symbol text not null, way integer not null, shares integer not null, terms text not null, price integer not null,
  limit_price integer not null, stop integer not null, target integer not null, primary key (day, place));
create table practice_fill (day text not null, place integer not null, at integer not null, symbol text not null,
  side text not null, quantity text not null, price text not null, order_id text not null, primary key (day, place));
